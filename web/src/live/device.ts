const KEY = 'oficina-device';

/** This window as the exchange knows it; the same after a reload, another one in another window. */
export const device: string = (() => {
  const known = sessionStorage.getItem(KEY);
  if (known) {
    return known;
  }
  const fresh = `window-${crypto.randomUUID().slice(0, 8)}`;
  sessionStorage.setItem(KEY, fresh);
  return fresh;
})();
