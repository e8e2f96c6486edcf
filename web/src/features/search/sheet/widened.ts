/** What a line can be widened by, in words. */
export const WIDENED: Record<string, string> = {
  variants: 'irregular forms and spelling variants',
  names: 'other names of its headings',
  narrower: 'narrower headings',
  related: 'related headings',
  text: 'inside the text',
};
