/** Rules of this project's own, for what no general rule knows. */

/** What of the donor or kit a choice may replace. */
const REPLACEABLE =
  /^(cogTeeth|ringTeeth|clusterKind|hubGear|hubGearRatioFloor|hubGearRatioCeiling|hubGearTorque|hubGearLargestCog|rearTyre|frontTyre)$/;
const DONORS = /^(survey|geometry|mid)$/;

const named = (node) => (node?.type === 'Identifier' ? node.name : undefined);

/** A rule with one message: `visitor` is given what tells it of a node. */
const rule = (message, visitor) => ({
  meta: { type: 'problem', messages: { said: message }, schema: [] },
  create: (context) => visitor((node) => context.report({ node, messageId: 'said' })),
});

export default {
  meta: { name: 'sprocket' },
  rules: {
    /**
     * Rules of fit judge the vehicle as it will be: what a conversion replaces is read through gearsThatWillBe, never
     * off the donor or the kit.
     */
    'as-it-will-be': rule(
      'The donor’s or kit’s own, which a choice may replace: read it through gearsThatWillBe.ts.',
      (tell) => ({
        MemberExpression(node) {
          if (!REPLACEABLE.test(named(node.property) ?? '')) return;
          const from = node.object.type === 'MemberExpression' ? named(node.object.property) : named(node.object);
          if (DONORS.test(from ?? '')) tell(node);
        },
        VariableDeclarator(node) {
          if (node.id.type !== 'ObjectPattern' || node.init?.type !== 'MemberExpression') return;
          if (named(node.init.property) !== 'survey') return;
          for (const property of node.id.properties) if (REPLACEABLE.test(named(property.key) ?? '')) tell(property);
        },
      }),
    ),
    /** Days are those of the place, not of Greenwich. */
    'day-of-the-place': rule('That is the day in Greenwich: ui/today.ts has the day of the place.', (tell) => ({
      CallExpression(node) {
        const { callee } = node;
        if (callee.type !== 'MemberExpression' || named(callee.property) !== 'slice') return;
        const inner = callee.object;
        if (inner.type === 'CallExpression' && named(inner.callee.property) === 'toISOString') tell(node);
      },
    })),
  },
};
