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
  ['fit'],
  ['work', 'proof', 'log'],
  ['formats'],
  ['plan', 'start'],
  ['search'],
];

/** Rooms of the web, lowest first: the store all stand on, the pieces, what keeps and works, then sheet, stages and roof. */
const webLayers = [['store', 'offline'], ['ui'], ['storage'], ['workers', 'drawing'], ['sheet'], ['stages'], ['app']];

/** No room imports what lies above or beside it, nor the file that lies over all its rooms. */
const upward = (of, rooms, roof) =>
  rooms.flatMap((row, i) =>
    row.map((room) => ({
      name: `${of}-layers-${room}`,
      comment: `${of}/${room} may import what lies below it, never what lies above or beside it.`,
      severity: 'error',
      from: { path: `^${of}/src/${room}/`, pathNot: '\\.test\\.ts$' },
      to: {
        path: `^${of}/src/(${[...rooms.slice(i + 1).flat(), ...row.filter((r) => r !== room)].join('|') || '-'})/|^${of}/src/${roof}$`,
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
    ...upward('core', layers, 'index\\.ts'),
    ...upward('web', webLayers, 'main\\.tsx'),
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
      name: 'ui-knows-no-trade',
      comment: 'Small shared pieces know amounts and units, not the sheet, its stages or its store of builds.',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: { path: '^web/src/(?!ui/|store/store)' },
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
