import a11y from 'eslint-plugin-jsx-a11y'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const noClockNoChance = [
  { object: 'Date', property: 'now', message: 'The day is an argument: core has no clock.' },
  { object: 'Math', property: 'random', message: 'Draws come from a generator passed in.' },
]

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.still-pine/**', 'test-results/**'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: ['error', 'smart'],
      '@typescript-eslint/max-params': ['error', { max: 3 }],
      'no-restricted-imports': [
        'error',
        {
          patterns: [{ group: ['@still-pine/core/*/*'], message: 'Import a core folder through its index.' }],
        },
      ],
    },
  },
  {
    files: ['*/src/**/*.ts', '*/src/**/*.tsx', '*/tests/**/*.ts', 'e2e/*.ts'],
    languageOptions: {
      parserOptions: { project: '*/tsconfig*.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false, arguments: false } },
      ],
      '@typescript-eslint/await-thenable': 'error',
    },
  },
  {
    // The rows of a table of facts; an error handler of Express is known by its four.
    files: ['**/*.test.ts', 'server/src/http/problems.ts'],
    rules: { '@typescript-eslint/max-params': ['error', { max: 6 }] },
  },
  {
    files: ['core/src/**/*.ts', 'use-cases/src/**/*.ts'],
    ignores: ['use-cases/src/**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...noClockNoChance],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Core has no clock.' },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}', 'device/src/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'Ask the server through the api slice or the outbox.' },
      ],
    },
  },
  {
    files: ['web/src/**/*.tsx', 'stand-ins/src/**/*.tsx'],
    ...a11y.flatConfigs.recommended,
    rules: {
      ...a11y.flatConfigs.recommended.rules,
      // A panel that a person has just opened takes the focus (WAI-ARIA Authoring Practices, dialog).
      'jsx-a11y/no-autofocus': 'off',
      // What scrolls can be reached by keyboard (axe, scrollable-region-focusable).
      'jsx-a11y/no-noninteractive-tabindex': ['error', { tags: ['ul'], roles: ['group', 'tabpanel'] }],
      'jsx-a11y/label-has-associated-control': ['error', { depth: 4 }],
    },
  },
  {
    files: ['device/src/send.ts', 'device/src/taken.ts'],
    rules: { 'no-restricted-globals': 'off' },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: ['server/src/data/**', 'server/src/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'TemplateElement[value.raw=/\\b(select|insert into|update|delete from)\\b.+\\b(from|values|set|where)\\b/is]',
          message: 'SQL lives in server/src/data.',
        },
        {
          selector: "TaggedTemplateExpression[tag.name='sql']",
          message: 'SQL lives in server/src/data.',
        },
      ],
    },
  },
)
