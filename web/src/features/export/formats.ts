/** Formats of references: name in requests, as people call it, ending of its files. */
export const FORMATS: readonly (readonly [string, string, string])[] = [
  ['ris', 'RIS', 'ris'],
  ['bibtex', 'BibTeX', 'bib'],
  ['biblatex', 'BibLaTeX', 'bib'],
  ['csl-json', 'CSL-JSON', 'json'],
  ['mods', 'MODS', 'xml'],
  ['csv', 'CSV', 'csv'],
  ['text', 'Plain text', 'txt'],
];

/** A name with the ending of a format, whichever it had. */
export function named(name: string, format: string): string {
  const ending = FORMATS.find(([one]) => one === format)?.[2] ?? format;
  return name.replace(/\.\w+$/, '') + `.${ending}`;
}

/** What a bibliography can be as a file, in the words of addresses and of people. */
export const FORMS_OF_BIBLIOGRAPHY = [
  ['docx', 'DOCX'],
  ['html', 'Web page'],
  ['text', 'Plain text'],
] as const;
