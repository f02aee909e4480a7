import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      'node_modules/',
      '.next/',
      '.test/',
      '.data/',
      '.bench/',
      '.bench-kept/',
      '.chaos/',
      'next-env.d.ts',
    ],
  },
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-dynamic-delete': 'off',
      'no-control-regex': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}', 'src/app/**/*.tsx'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.flat['recommended-latest'].rules,
      'react-hooks/exhaustive-deps': 'error',
      // What a device keeps is only known after the first drawing, which is the server's.
      'react-hooks/set-state-in-effect': 'off',
      // It tells of the compiler, which is not used.
      'react-hooks/incompatible-library': 'off',
    },
  },
  {
    // What crosses HTTP is read by the schemas of core/contract, by routes and pages alike.
    files: ['src/app/**/*.{ts,tsx}', 'src/ui/**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'yup',
              allowImportNames: ['ValidationError'],
              message: 'Schemas of what crosses HTTP stand in src/core/contract.',
            },
          ],
        },
      ],
    },
  },
  {
    // The core knows no clock, no machine and no locale but those passed in.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        {
          object: 'Date',
          property: 'now',
          message: 'The core has no clock: take the moment as an argument.',
        },
        { object: 'Math', property: 'random', message: 'The core gives the same result every time.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core has no clock.',
        },
      ],
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch'],
    },
  },
);
