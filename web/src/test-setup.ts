import { vi } from 'vitest';

/** What a browser has and the tests' environment has not. */
vi.stubGlobal('sessionStorage', { getItem: () => 'this-window', setItem: () => undefined });
