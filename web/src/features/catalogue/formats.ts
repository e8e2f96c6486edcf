/** Forms of records by the prefix under which OAI-PMH knows them. */
export const SPEAKS: Record<string, string> = {
  mods: 'MODS',
  oai_dc: 'Dublin Core',
  marcxml: 'MARCXML',
  marc21: 'MARCXML',
  jats: 'JATS',
};
