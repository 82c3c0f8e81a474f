// What every browser has and jsdom lacks.
const { TextDecoder, TextEncoder } = require('node:util');
const { deserialize, serialize } = require('node:v8');

const structuredClone = (value) => deserialize(serialize(value));
Object.assign(globalThis, { TextDecoder, TextEncoder, structuredClone });
window.scrollTo = () => undefined;
// Nothing is laid out there, so nothing ever resizes.
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
// Queries by role ask of every element whether it is hidden, and jsdom would try every rule of every sheet with it each time. Here an
// element is hidden by its attribute or by its own style, as MUI hides what is on its way out; the browser tests see the sheets.
const { style: hidden } = Object.assign(document.createElement('i'), { style: 'display: none' });
window.getComputedStyle = (element) => (element.hidden ? hidden : element.style);
// A mouse, a wide screen, and no wishes.
window.matchMedia ??= (media) => ({ media, matches: false, addEventListener() {}, removeEventListener() {} });
