// What a file shows by itself. The rules that need types (`.oxlintrc.json`) are looked after by a linter on TypeScript's own compiler, in a
// fifth of the time.
import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const noClock = [
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'core has no clock: take today or now as an argument.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'core has no clock: take today or now as an argument.',
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'core is deterministic: no randomness.',
  },
];

/** An object spread into another from where it is written is not checked for keys that its type does not have. */
const noSpreadLiteral = {
  selector: 'ObjectExpression > SpreadElement > ObjectExpression.argument',
  message: 'Write the properties themselves: a misspelt one would go unseen here.',
};

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
      ignores: ['**/*.test.ts'],
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

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/.yugator/**',
      'server/src/openapi/metadata.ts',
      '**/*.cjs',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        setInterval: 'readonly',
        setTimeout: 'readonly',
        Buffer: 'readonly',
      },
    },
    rules: {
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 14],
      eqeqeq: 'error',
      'no-restricted-syntax': ['error', noSpreadLiteral],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/**/testing/**'],
    rules: {
      'no-restricted-syntax': ['error', noSpreadLiteral, ...noClock],
      ...arrows([{ regex: '^[^.]', message: 'core imports nothing but its own files.' }]),
    },
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
  {
    files: ['server/src/**/*.ts'],
    rules: arrows([SERVER_ARROW]),
  },
  ...serverFloors,
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      // Nothing here is compiled by the React Compiler, which is what this warns of.
      'react-hooks/incompatible-library': 'off',
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
);
