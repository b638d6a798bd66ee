/**
 * The rooms and their layers, held by `npm run lint`: an import goes down the list or stays in its room, never up;
 * no cycles; no rule imports another rule; a stage of the web knows no other stage.
 */

/** Rooms of the core, lowest first. Those on one line do not know each other unless a later line says so. */
const layers = [
  ['quantity', 'reading'],
  ['catalogue'],
  ['parts'],
  ['donor'],
  ['build'],
  ['drive', 'pack'],
  ['ride'],
  ['safety', 'gearing'],
  ['layout'],
  ['vehicle'],
  ['wiring'],
  ['fit', 'search'],
  ['work', 'proof', 'log'],
  ['formats'],
  ['plan'],
];

const upward = layers.flatMap((rooms, i) =>
  rooms.map((room) => ({
    name: `core-layers-${room}`,
    comment: `core/${room} may import what lies below it, never what lies above or beside it.`,
    severity: 'error',
    from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
    to: {
      path: `^core/src/(${[...layers.slice(i + 1).flat(), ...rooms.filter((r) => r !== room)].join('|')})/|^core/src/index\\.ts$`,
    },
  })),
);

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      comment: 'Two files that need each other are one file, or three. Types count.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    ...upward,
    {
      name: 'core-ground',
      comment: 'Constants and verdicts know nobody.',
      severity: 'error',
      from: { path: '^core/src/(constants|verdict)\\.ts$' },
      to: { path: '^core/src/' },
    },
    {
      name: 'no-rule-imports-a-rule',
      comment: 'Rules share helpers of fit and lower rooms, never each other.',
      severity: 'error',
      from: { path: '^core/src/fit/rules/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/fit/(rules/|allRules|judge|measureNext|verdictEdges|worth)' },
    },
    {
      name: 'no-stage-imports-a-stage',
      comment: 'What two stages share lies in sheet/, drawing/ or ui/.',
      severity: 'error',
      from: { path: '^web/src/stages/([^/]+)/' },
      to: { path: '^web/src/stages/([^/]+)/', pathNot: '^web/src/stages/$1/' },
    },
    {
      name: 'only-the-router-and-the-list-open-stages',
      comment: 'A stage’s screen is loaded when it is first opened.',
      severity: 'error',
      from: { path: '^web/src/(sheet|drawing|ui|workers|storage)/' },
      to: { path: '^web/src/stages/[^/]+/(?!stage\\.ts$)' },
    },
    {
      name: 'ui-knows-no-trade',
      comment: 'Small shared pieces know amounts and units, not the sheet, its stages or its store of builds.',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: { path: '^web/src/(?!ui/|app/store)' },
    },
    {
      name: 'nobody-reaches-into-the-core',
      comment: 'The core is entered by @sprocket/core alone.',
      severity: 'error',
      from: { path: '^(web|server|cli|e2e)/' },
      to: { path: '^core/src/(?!index\\.ts$)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/|\\.css$|\\?' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
