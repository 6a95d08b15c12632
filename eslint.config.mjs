import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['.nuxt', '.output', 'node_modules', 'data', 'test-results', 'playwright-report'] },
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-assertions': ['error', { assertionStyle: 'never' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      complexity: ['error', 20],
    },
  },
  { files: ['**/*.test.ts', 'tests/**/*.ts'], rules: { 'max-lines-per-function': 'off' } },
  // A store or composable is a closure over its state, as a class is: its parts are what must be short.
  { files: ['app/stores/*.ts', 'app/composables/*/use*.ts'], rules: { 'max-lines-per-function': ['error', 150] } },
  // Constant assertions are the one kind that cannot lie.
  {
    files: ['**/*.ts', '**/*.vue'],
    rules: {
      '@typescript-eslint/consistent-type-assertions': 'off',
      'no-restricted-syntax': [
        'error',
        {
          selector: "TSAsExpression:not([typeAnnotation.typeName.name='const'])",
          message: 'No casts: parse, narrow or type it honestly.',
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['node:*', 'vue', 'nuxt', '#app', '~/*', '#demo/*', '../../server/*', '../../app/*'] },
      ],
    },
  },
  prettier,
)
