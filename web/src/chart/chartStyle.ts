/** How axes of charts look. */
export const AXIS = { stroke: 'var(--soft)', tick: { fill: 'var(--soft)', fontSize: 13 } };

/** How the box looks that says the figures under the pointer. */
export const TIP_STYLE = {
  background: 'var(--sheet)',
  border: '1px solid var(--line)',
  color: 'var(--ink)',
};
