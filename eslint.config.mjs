import next from 'eslint-config-next'
import coreWebVitals from 'eslint-config-next/core-web-vitals'
import typescript from 'eslint-config-next/typescript'

const config = [
  { ignores: ['.next/**', '.islands/**', 'next-env.d.ts', 'node_modules/**'] },
  ...next,
  ...coreWebVitals,
  ...typescript,
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // Children of a class are data here, and a figure's title is its child.
      'react/no-children-prop': 'off',
      'import/no-anonymous-default-export': 'off',
    },
  },
]

export default config
