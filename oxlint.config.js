// What a file shows by itself, and what needs its types: one linter, on TypeScript's own compiler where it does.
import { defineConfig } from 'oxlint';

/** Forbids the imports that would turn an arrow of docs/architecture.md round. */
function arrows(patterns) {
  return { 'no-restricted-imports': ['error', { patterns }] };
}

/**
 * The floors of the server's subjects, lowest first. A folder imports from floors below its own, never from above or beside it; what is
 * not named here (database, session, gate, problem and the like) carries them all.
 */
const FLOORS = [
  ['models'],
  ['facts'],
  ['season'],
  ['schedule'],
  ['books', 'defect', 'meter', 'oil', 'shelf'],
  ['machine'],
  ['job'],
  ['buying', 'paperLog', 'walk'],
  ['component', 'evidence', 'fleetFile', 'paper', 'seasonPlan', 'shelfList', 'today'],
];

const SERVER_ARROW = {
  regex: '^@yugator/(web|e2e)|^react',
  message: 'server and web never import each other.',
};

const serverFloors = FLOORS.flatMap((floor, height) =>
  floor.map((folder) => {
    const others = FLOORS.slice(height)
      .flat()
      .filter((each) => each !== folder);
    return {
      files: [`server/src/${folder}/**/*.ts`],
      excludeFiles: ['**/*.test.ts'],
      rules: arrows([
        SERVER_ARROW,
        {
          regex: `^\\.\\./(${others.join('|')})/`,
          message: `${folder} stands below or beside that: see the floors in docs/architecture.md.`,
        },
      ]),
    };
  }),
);

/** The rules of the usual set that would find nothing but what is meant here. */
const NOT_WANTED = [
  'typescript/no-base-to-string',
  'typescript/no-misused-spread',
  'typescript/no-redundant-type-constituents',
  'typescript/no-useless-default-assignment',
  'typescript/require-array-sort-compare',
  'typescript/restrict-template-expressions',
  'typescript/unbound-method',
];

/** Those that are not part of the usual set. */
const WANTED_TOO = [
  'eqeqeq',
  'no-array-constructor',
  'no-case-declarations',
  'no-empty',
  'no-fallthrough',
  'no-prototype-builtins',
  'no-redeclare',
  'no-regex-spaces',
  'no-unexpected-multiline',
  'no-useless-assignment',
  'no-useless-constructor',
  'no-var',
  'prefer-const',
  'prefer-rest-params',
  'prefer-spread',
  'preserve-caught-error',
  'typescript/ban-ts-comment',
  'typescript/no-dynamic-delete',
  'typescript/no-empty-object-type',
  'typescript/no-explicit-any',
  'typescript/no-invalid-void-type',
  'typescript/no-namespace',
  'typescript/no-non-null-asserted-nullish-coalescing',
  'typescript/no-non-null-assertion',
  'typescript/no-require-imports',
  'typescript/no-unnecessary-type-constraint',
  'typescript/no-unsafe-function-type',
  'typescript/prefer-literal-enum-member',
  'typescript/unified-signatures',
  'yugator/no-spread-literal',
];

const OF_REACT = [
  'react/error-boundaries',
  'react/exhaustive-deps',
  'react/globals',
  'react/immutability',
  'react/preserve-manual-memoization',
  'react/purity',
  'react/refs',
  'react/rules-of-hooks',
  'react/set-state-in-effect',
  'react/set-state-in-render',
  'react/static-components',
  'react/unsupported-syntax',
  'react/use-memo',
];

const PLUGINS = ['eslint', 'typescript', 'oxc'];
const all = (rules, level) => Object.fromEntries(rules.map((rule) => [rule, level]));

export default defineConfig({
  plugins: PLUGINS,
  jsPlugins: ['./scripts/lintRules.mjs'],
  categories: { correctness: 'error' },
  options: { typeAware: true, denyWarnings: true, reportUnusedDisableDirectives: 'error' },
  ignorePatterns: ['**/dist/**', '**/.yugator/**', 'server/src/openapi/metadata.ts', '**/*.cjs'],
  rules: {
    ...all(NOT_WANTED, 'off'),
    ...all(WANTED_TOO, 'error'),
    complexity: ['error', 14],
    'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    'no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
    'typescript/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    'typescript/switch-exhaustiveness-check': [
      'error',
      { considerDefaultExhaustiveForUnions: false, requireDefaultForNonUnion: false },
    ],
  },
  overrides: [
    { files: ['**/*.mjs', '**/*.js'], env: { node: true }, rules: { 'no-undef': 'error' } },
    {
      files: ['core/src/**/*.ts'],
      excludeFiles: ['**/*.test.ts', 'core/src/**/testing/**'],
      rules: {
        'yugator/no-clock': 'error',
        ...arrows([{ regex: '^[^.]', message: 'core imports nothing but its own files.' }]),
      },
    },
    {
      files: ['core/src/**/*.ts', 'contracts/src/**/*.ts', 'server/src/**/*.ts'],
      rules: { 'yugator/no-local-time': 'error' },
    },
    {
      files: ['contracts/src/**/*.ts'],
      rules: arrows([
        {
          regex: '^@yugator/(server|web|e2e)|^(@nestjs|react|sequelize)',
          message: 'contracts sit above core only.',
        },
      ]),
    },
    { files: ['server/src/**/*.ts'], rules: arrows([SERVER_ARROW]) },
    ...serverFloors,
    {
      files: ['web/src/**/*.{ts,tsx}'],
      plugins: [...PLUGINS, 'react'],
      rules: {
        ...all(OF_REACT, 'error'),
        ...arrows([
          { regex: '^@yugator/(server|e2e)|^@nestjs', message: 'server and web never import each other.' },
          { regex: '^@mui/material$', message: 'Import MUI by path, to keep the first load small.' },
        ]),
      },
    },
    {
      files: ['e2e/src/**/*.ts'],
      rules: arrows([{ regex: '^@yugator/', message: 'e2e knows the product by its surface only.' }]),
    },
  ],
});
