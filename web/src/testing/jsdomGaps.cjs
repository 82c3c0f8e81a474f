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
// Names of fields and buttons are asked for as often, and jsdom would walk the whole page for each label and each field.
const LABELABLE = 'button, input:not([type=hidden]), meter, output, progress, select, textarea';
Object.defineProperty(HTMLLabelElement.prototype, 'control', {
  get() {
    if (!this.hasAttribute('for')) return this.querySelector(LABELABLE);
    const labelled = this.htmlFor && this.ownerDocument.getElementById(this.htmlFor);
    return labelled && labelled.matches(LABELABLE) ? labelled : null;
  },
});
const labels = {
  get() {
    return [...this.ownerDocument.getElementsByTagName('label')].filter((label) => {
      const named = label.getAttribute('for');
      return named === null ? label.contains(this) && label.control === this : named === this.id;
    });
  },
};
for (const name of ['Button', 'Input', 'Meter', 'Output', 'Progress', 'Select', 'TextArea'])
  Object.defineProperty(window[`HTML${name}Element`].prototype, 'labels', labels);
// A mouse, a wide screen, and no wishes.
window.matchMedia ??= (media) => ({ media, matches: false, addEventListener() {}, removeEventListener() {} });
