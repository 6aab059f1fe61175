/** What a role may be filled with. */
export type RoleKind =
  | 'piece'
  | 'switch'
  | 'choke'
  | 'output-choke'
  | 'passive'
  | 'coupling'
  | 'store'
  | 'reservoir'
  | 'thyristor'
  | 'lamp';

/** An end of a role: `P.a`. Switches have `near` and `far`, all others `a` and `b`; each may be filled either way round. */
export type End = `${string}.${'a' | 'b' | 'near' | 'far'}`;

/** What must hold between the ends of a form's roles. */
export type FormRelation =
  /** One rail, once power's thoroughfares are merged. */
  | { readonly is: 'joined'; readonly ends: readonly [End, End] }
  /** Different rails. */
  | { readonly is: 'apart'; readonly ends: readonly [End, End] }
  /** One rail, or rails with coupling capacitors, chokes and windings of other parts between. */
  | { readonly is: 'in-series'; readonly ends: readonly [End, End] }
  /** Different rails with a coupling capacitor, and nothing else, between. */
  | { readonly is: 'coupled'; readonly ends: readonly [End, End] }
  /** Stands still over a switching period. */
  | { readonly is: 'held'; readonly ends: readonly [End] }
  /** Swings. */
  | { readonly is: 'swinging'; readonly ends: readonly [End] }
  /** Stands still, or reaches a rail that does through a capacitor. */
  | { readonly is: 'returned'; readonly ends: readonly [End] }
  /** Live or neutral, or what is in series with them. */
  | { readonly is: 'on-line'; readonly ends: readonly [End] }
  /** Held by nothing but a capacitor: nothing is fed from it. */
  | { readonly is: 'stored'; readonly ends: readonly [End] };

export interface Form {
  readonly id: string;
  /** Roles in the order they are filled. Roles of one `piece` transformer share it. */
  readonly roles: Readonly<Record<string, RoleKind>>;
  readonly relations: readonly FormRelation[];
  /** Ends that must be fed from the input, each in words. */
  readonly source: readonly End[];
  /** Sentences on a match; `{Q}` names a part, `{Q.near}` a pin. */
  readonly message: readonly string[];
}

export const joined = (a: End, b: End): FormRelation => ({ is: 'joined', ends: [a, b] });
export const apart = (a: End, b: End): FormRelation => ({ is: 'apart', ends: [a, b] });
export const inSeries = (a: End, b: End): FormRelation => ({ is: 'in-series', ends: [a, b] });
export const coupled = (a: End, b: End): FormRelation => ({ is: 'coupled', ends: [a, b] });
export const held = (a: End): FormRelation => ({ is: 'held', ends: [a] });
export const swinging = (a: End): FormRelation => ({ is: 'swinging', ends: [a] });
export const returned = (a: End): FormRelation => ({ is: 'returned', ends: [a] });
export const stored = (a: End): FormRelation => ({ is: 'stored', ends: [a] });
export const onLine = (a: End): FormRelation => ({ is: 'on-line', ends: [a] });
