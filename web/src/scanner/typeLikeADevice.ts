/** A device of the kind that types what it reads sends its characters about so far apart. */
const BETWEEN_MS = 3;

function wait(ms: number): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve, ms);
  });
}

/** Puts text into a field as typing does, so that whoever listens hears of it. */
function put(field: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  const { set } = Object.getOwnPropertyDescriptor(kind.prototype, 'value') ?? {};
  set?.call(field, text);
  field.dispatchEvent(
    new InputEvent('input', { bubbles: true, data: text.at(-1) ?? null, inputType: 'insertText' }),
  );
}

function key(field: HTMLElement, name: 'keydown' | 'keyup', value: string): boolean {
  return field.dispatchEvent(new KeyboardEvent(name, { key: value, bubbles: true, cancelable: true }));
}

/**
 * Types a code into a field as a scanner that is a keyboard does: character by character, then Enter, which sends the form that the
 * field stands in unless somebody holds it back. What is selected in the field is typed over.
 */
export async function typeLikeADevice(
  field: HTMLInputElement | HTMLTextAreaElement,
  code: string,
): Promise<void> {
  field.focus();
  const { selectionStart, selectionEnd } = field;
  const isSelected = selectionStart !== null && selectionStart !== selectionEnd;
  let text = isSelected ? '' : field.value;
  for (const character of code) {
    key(field, 'keydown', character);
    text += character;
    put(field, text);
    key(field, 'keyup', character);
    await wait(BETWEEN_MS);
  }
  const goesOn = key(field, 'keydown', 'Enter');
  key(field, 'keyup', 'Enter');
  if (goesOn) field.form?.requestSubmit();
}
