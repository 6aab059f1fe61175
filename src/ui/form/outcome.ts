/** What a form's action answers. A problem without a field concerns the whole form. */
export type FormOutcome =
  | { readonly ok: true; readonly message?: string; readonly undo?: string; readonly goto?: string }
  | { readonly ok: false; readonly problems: readonly FormProblem[] };

export interface FormProblem {
  readonly field?: string;
  readonly message: string;
}

export type FormAction = (data: FormData) => Promise<FormOutcome>;
