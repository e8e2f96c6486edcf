/** A letter to an author in the reader's own mail program (RFC 6068), with the citation in it. */
export function letter(author: string, title: string, citation: string, from: string): string {
  const subject = `A copy of “${title}”`;
  const text = [
    `Dear ${author},`,
    '',
    'I should like to read this work of yours, and have no way to its text:',
    '',
    citation,
    '',
    'Could you send me a copy, for reading in my group?',
    '',
    'With kind regards,',
    from,
  ].join('\r\n');
  return `mailto:?subject=${encodeURIComponent(subject)}&body=${encodeURIComponent(text)}`;
}
