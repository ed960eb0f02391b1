import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['dist', 'node_modules', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    // TypeScript resolves names itself.
    files: ['**/*.ts', '**/*.vue'],
    rules: {
      'no-undef': 'off',
      'vue/no-v-html': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  {
    // Components fetch nothing: a composable does. A label may stand twice, so it is no key.
    files: ['**/*.vue'],
    rules: {
      'vue/no-restricted-syntax': [
        'error',
        {
          selector:
            "VAttribute[directive=true][key.argument.name='key'] VExpressionContainer > MemberExpression[property.name=/^(label|says|title|text|message|figure)$/]",
          message: 'Key by what it is, or by its place.',
        },
      ],
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: '@tanstack/vue-query', message: 'Fetch in a composable.' }],
          patterns: [
            {
              group: ['**/api/client'],
              importNames: ['api', 'anywhere', 'take'],
              message: 'Fetch in a composable.',
            },
          ],
        },
      ],
    },
  },
  prettier,
)
