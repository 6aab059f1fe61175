import type { FormMatch } from './matchForm';

/** The sentences of a form's match: `{Q}` becomes the reference, `{Q.near}` the pin. */
export function sayMatch({ form, roles }: FormMatch): readonly string[] {
  return form.message.map((text) =>
    text.replace(/\{(\w+)(?:\.(\w+))?\}/g, (_, role: string, side: string | undefined) => {
      const binding = roles[role];
      if (!binding) return '';
      if (side === undefined) return binding.part.ref;
      return `${binding.part.ref}.${binding.pins[side === 'b' || side === 'far' ? 1 : 0]}`;
    }),
  );
}
