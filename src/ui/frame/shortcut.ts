export interface Shortcut {
  /** One character as `KeyboardEvent.key` gives it. */
  readonly key: string;
  readonly label: string;
  /** Where it leads, or the id of the element it puts the focus on or presses. */
  readonly href?: string;
  readonly focus?: string;
  readonly press?: string;
}

/** A line a person may type on a screen, and what it does. */
export interface LineHelp {
  readonly line: string;
  readonly means: string;
}
