import next from 'eslint-config-next'
import tseslint from 'typescript-eslint'

// Who may import whom: arrows point one way. Cycles are found by dependency-cruiser.
const zones = [
  { target: './src/core', from: './src', except: ['./core'], message: 'core imports only core' },
  { target: './src/formats', from: './src', except: ['./formats', './core'] },
  { target: './src/time', from: './src', except: ['./time', './core'] },
  { target: './src/db', from: './src', except: ['./db', './core'] },
  { target: './src/store', from: './src', except: ['./store', './db', './time', './core'] },
  {
    target: './src/commands',
    from: './src',
    except: ['./commands', './store', './db', './time', './core'],
  },
  {
    target: './src/workers',
    from: './src',
    except: ['./workers', './core', './formats', './store/old-visit.ts'],
  },
  { target: './src/devices', from: './src', except: ['./devices', './core'] },
  {
    target: './src/ui',
    from: './src',
    except: ['./ui', './core', './time', './workers', './devices', './commands/kinds.ts'],
  },
  { target: ['./src/core', './src/formats', './src/time', './src/db', './src/ui'], from: './demo' },
  { target: './src', from: './tests' },
]

// What a pure function has no business with.
const IMPURE = [
  'window',
  'document',
  'navigator',
  'process',
  'fetch',
  'localStorage',
  'performance',
  'Date',
  'setTimeout',
  'setInterval',
]

// Small numeric libraries that core may stand on.
const CORE_LIBRARIES = ['suncalc', 'ml-matrix', 'ts-fsrs']

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'node_modules/**',
      '.cache/**',
      'data/**',
      'test-results/**',
      'next-env.d.ts',
    ],
  },
  ...next,
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx,mjs}'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'import/no-restricted-paths': ['error', { zones }],
      'import/no-anonymous-default-export': 'off',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExportDefaultDeclaration',
          message: 'exports are named (pages and configuration excepted)',
        },
      ],
    },
  },
  {
    files: [
      'src/app/**/{page,layout,not-found,error,global-error}.tsx',
      '*.{ts,mjs}',
      'tests/{pglite,postgres,mutants}-*.mjs',
    ],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/runs.fixture.ts'],
    rules: {
      'import/no-nodejs-modules': 'error',
      'no-restricted-globals': ['error', ...IMPURE],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'no chance without a seed' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^(?!\\.|(${CORE_LIBRARIES.join('|')})$)`,
              message: 'core imports only core and small numeric libraries',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/frame/page-link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['@electric-sql/*'], message: 'no SQL in a component' },
            { group: ['next/link'], importNames: ['default'], message: 'use ui/frame/page-link' },
          ],
        },
      ],
    },
  },
)
