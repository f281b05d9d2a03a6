import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'target', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  a11y.flatConfigs.recommended,
  {
    rules: { 'no-console': 'error' },
    languageOptions: { globals: { Buffer: 'readonly', URL: 'readonly' } },
  },
);
