import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';

/** Imports follow one arrow: web, server, cli → core, by its one entry; core reaches for nobody. */
const arrow = (patterns) => ['error', { patterns }];
const deepCore = { regex: '^(@sprocket/core/|.*core/src)', message: 'The core is entered by @sprocket/core alone.' };

/** Files that may be long, each by name: lists of data and of cases, and what is one thought. */
const LONG = [
  '**/*.test.ts',
  'e2e/*.ts',
  'core/src/donor/items/*.ts',
  'core/src/parts/shelf/*.ts',
  'core/src/proof/faults/data/*.ts',
  'core/src/proof/tests/*.ts',
  'core/src/index.ts',
  'scripts/make-demo.ts',
  'core/src/donor/geometry.ts',
  'core/src/layout/place.ts',
  'core/src/layout/room.ts',
  'core/src/ride/simulate.ts',
  'web/src/drawing/BikeDrawing.tsx',
  'web/src/stages/brief/Brief.tsx',
  'web/src/stages/donor/PhotoTrace.tsx',
  'web/src/stages/donor/figures/FigureFor.tsx',
];

/** What of the donor or kit a choice may replace. */
const replaceable =
  '/^(cogTeeth|ringTeeth|clusterKind|hubGear|hubGearRatioFloor|hubGearRatioCeiling|hubGearTorque|hubGearLargestCog|rearTyre|frontTyre)$/';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'docs/**', '.stryker-tmp/**'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    // Rules that know the types, over all that ships.
    files: ['*/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      // A promise nobody waits for loses its failure, and with it what a person entered.
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    // Data, tables of cases, and the few that are one thought too long to part.
    files: LONG,
    rules: { 'max-lines': 'off' },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-imports': arrow([
        {
          regex: '^(react|@mantine|dexie|express|node:|@sprocket/)',
          message: 'The core is pure: no interface, storage, server or Node.',
        },
        { regex: '(^|/)(web|server|cli|e2e)/', message: 'The core imports nobody.' },
      ]),
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'process', 'Date'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Draws take a seed.' }],
    },
  },
  {
    // Rules judge the vehicle as it will be. What a conversion replaces is read through gearsThatWillBe; these few
    // compare the donor's own with what comes.
    files: ['core/src/fit/rules/*.ts'],
    ignores: ['clusterChoice', 'clusterMount', 'sizeChain', 'wheelSize'].map((n) => `core/src/fit/rules/${n}.ts`),
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          `MemberExpression[object.name=/^(survey|geometry|mid)$/][property.name=${replaceable}]`,
          `MemberExpression[object.property.name=/^(survey|geometry|mid)$/][property.name=${replaceable}]`,
          `VariableDeclarator[init.property.name="survey"] Property[key.name=${replaceable}]`,
        ].map((selector) => ({
          selector,
          message: 'The donor’s or kit’s own, which a choice may replace: read it through gearsThatWillBe.ts.',
        })),
      ],
    },
  },
  {
    files: ['core/src/**/*.test.ts', 'core/bench/**/*.ts'],
    rules: {
      'no-restricted-imports': 'off',
      'no-restricted-globals': 'off',
      '@typescript-eslint/no-unused-expressions': 'off',
      'no-console': 'off',
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      // Fields hold half-typed text of their own and follow the store when undo or another build moves it.
      'react-hooks/set-state-in-effect': 'off',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.property.name="slice"][callee.object.callee.property.name="toISOString"]',
          message: 'That is the day in Greenwich: ui/today.ts has the day of the place.',
        },
      ],
      'no-restricted-imports': arrow([
        deepCore,
        { regex: '^(express|node:|@sprocket/(server|cli|e2e))', message: 'The web app knows the core and itself.' },
      ]),
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    // Tests read the fixtures beside the core's.
    files: ['web/src/**/*.test.ts'],
    rules: { 'no-restricted-imports': arrow([deepCore]) },
  },
  {
    files: ['server/src/**/*.ts', 'cli/src/**/*.ts'],
    rules: {
      'no-restricted-imports': arrow([
        deepCore,
        { regex: '^@sprocket/(web|e2e)', message: 'Only the core is shared.' },
      ]),
      'no-console': 'off',
    },
  },
  {
    files: ['e2e/**/*.ts', '**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      'no-console': 'off',
    },
  },
);
