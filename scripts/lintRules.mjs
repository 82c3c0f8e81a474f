// Rules of our own for the linter, see oxlint.config.js.

/** Reports each node of a type that `isWrong`, with a message. */
function forbid(types, isWrong, message) {
  return {
    create(context) {
      const look = (node) => {
        if (isWrong(node)) context.report({ node, message });
      };
      return Object.fromEntries(types.map((type) => [type, look]));
    },
  };
}

/** An object spread into another from where it is written is not checked for keys that its type does not have. */
const noSpreadLiteral = forbid(
  ['SpreadElement'],
  ({ parent, argument }) => parent.type === 'ObjectExpression' && argument.type === 'ObjectExpression',
  'Write the properties themselves: a misspelt one would go unseen here.',
);

const CLOCKS = { Date: 'now', Math: 'random' };

const noClock = forbid(
  ['MemberExpression', 'NewExpression'],
  ({ type, object, property, callee, arguments: given }) =>
    type === 'NewExpression'
      ? callee.name === 'Date' && given.length === 0
      : Object.hasOwn(CLOCKS, object.name ?? '') && property.name === CLOCKS[object.name],
  'core has neither a clock nor chance: take today, now or a seed as an argument.',
);

/** What reads or shows a moment by the clock of the computer, wherever that stands. */
const LOCAL =
  /^([gs]et(FullYear|Month|Date|Day|Hours|Minutes|Seconds)|getTimezoneOffset|to(Locale)?(Date|Time)String|toLocaleString)$/;

const isNamed = (callee, object, property) =>
  callee.object?.name === object && callee.property?.name === property;
const namesZone = (options) =>
  options?.type === 'ObjectExpression' && options.properties.some(({ key }) => key?.name === 'timeZone');

/** A site's days are those of its own zone (core/src/calendar), not of where its computer stands. */
const noLocalTime = forbid(
  ['CallExpression', 'NewExpression'],
  ({ type, callee, arguments: given }) =>
    (callee.type === 'MemberExpression' && LOCAL.test(callee.property.name ?? '')) ||
    (type === 'NewExpression' && callee.name === 'Date' && given.length > 1) ||
    (isNamed(callee, 'Intl', 'DateTimeFormat') && !namesZone(given[1])),
  'This asks where the computer stands: name the time zone, or use UTC.',
);

export default {
  meta: { name: 'yugator' },
  rules: { 'no-spread-literal': noSpreadLiteral, 'no-clock': noClock, 'no-local-time': noLocalTime },
};
