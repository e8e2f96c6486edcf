import js from '@eslint/js';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import { importX } from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** Another feature is used through its index.ts alone. */
const onlyByIndex = (files, regex) => ({
  files: [files],
  rules: {
    'no-restricted-imports': [
      'error',
      { patterns: [{ regex, message: 'Another feature only through its index.ts.' }] },
    ],
  },
});

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  importX.flatConfigs.typescript,
  {
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver-next': [createTypeScriptImportResolver()] },
    rules: {
      'import-x/no-cycle': 'error',
      'max-lines': ['error', { max: 200, skipBlankLines: true, skipComments: true }],
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'Only src/api speaks to the server.' },
      ],
    },
  },
  onlyByIndex('src/features/*/*', '^\\.\\./[a-z]+/'),
  onlyByIndex('src/features/*/*/**', '^\\.\\./\\.\\./[a-z]+/'),
  { files: ['src/api/**'], rules: { 'no-restricted-globals': 'off' } },
  {
    files: ['src/ui/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['*features*', '*app/*'] }] },
  },
);
