/** The screens come first; what makes them work without signal is fetched when they stand. */
const AFTER_MS = 2_000;

/** Keeps the application itself on the device, where the browser lets it: under TLS, or on this machine. */
export function registerServiceWorker(): void {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  const register = () => {
    navigator.serviceWorker.register('/serviceWorker.js').catch((error: unknown) => {
      // Without it all works as long as there is a signal.
      console.warn('Yugator will not open without signal on this device.', error);
    });
  };
  window.addEventListener('load', () => setTimeout(register, AFTER_MS), { once: true });
}
