/** How a bin is called: what stands on a drawer, short enough to say aloud, upper case. */
export const BIN_CODE = {
  pattern: /^[A-Z0-9][A-Z0-9-]{0,11}$/,
  expected: 'A bin such as C2-5 is expected: letters, digits and dashes.',
} as const;
