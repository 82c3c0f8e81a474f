const KEY = 'yugator-connected-at';

/** Notes that Yugator answers now. */
export function noteConnected(at: number): void {
  localStorage.setItem(KEY, String(at));
}

/** When Yugator was last reached from this device, in ms since 1970; null where that is not known. */
export function connectedAt(): number | null {
  const at = Number(localStorage.getItem(KEY) ?? '');
  return at > 0 ? at : null;
}
