const KEY = 'oficina-device';
/** A page that is being reloaded may hold its name for a moment longer. */
const PATIENCE_MS = 400;

function fresh(): string {
  const name = `window-${crypto.randomUUID().slice(0, 8)}`;
  sessionStorage.setItem(KEY, name);
  return name;
}

/**
 * This window as the exchange knows it; the same after a reload, another one in another window. Set
 * before anything is shown.
 */
export let device = sessionStorage.getItem(KEY) ?? fresh();

/** Holds the name for as long as this page lives; whether nobody else did. */
function held(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    const waiting = AbortSignal.timeout(PATIENCE_MS);
    navigator.locks
      .request(`oficina ${name}`, { signal: waiting }, () => {
        resolve(true);
        return new Promise(() => undefined);
      })
      .catch(() => resolve(false));
  });
}

/** A duplicated tab brings the name of its original along, which is then still taken. */
export async function claimDevice(): Promise<void> {
  if ('locks' in navigator && !(await held(device))) {
    device = fresh();
    await held(device);
  }
}
