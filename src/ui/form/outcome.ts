/** What a form's action answers. A problem without a field concerns the whole form. */
export type FormOutcome =
  | {
      readonly ok: true;
      readonly message?: string;
      readonly undo?: string;
      /** The step that was undone, which may be done again. */
      readonly redo?: string;
      readonly goto?: string;
    }
  | { readonly ok: false; readonly problems: readonly FormProblem[] };

export interface FormProblem {
  readonly field?: string;
  readonly message: string;
  /** What must be answered before it can be saved. */
  readonly questions?: readonly FormQuestion[];
}

/** A choice between a few answers, sent back under its name. */
export interface FormQuestion {
  readonly name: string;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

export type FormAction = (data: FormData) => Promise<FormOutcome>;
