import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  {
    rules: {
      'max-lines': ['error', { max: 200, skipBlankLines: true, skipComments: true }],
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'Only src/api speaks to the server.' },
      ],
    },
  },
  {
    files: ['src/features/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { regex: '^\\.\\./[a-z]+/', message: 'Another feature only through its index.ts.' },
          ],
        },
      ],
    },
  },
  { files: ['src/api/**'], rules: { 'no-restricted-globals': 'off' } },
  {
    files: ['src/ui/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['*features*', '*app/*'] }] },
  },
);
