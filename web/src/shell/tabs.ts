import type { Me } from '../api/types';

interface Tab {
  path: string;
  word: string;
  /** Where there is no room for more. */
  short?: string;
  key: string;
}

/** The views there are, in the order of their tabs. */
export function tabs(me: Me): Tab[] {
  return [
    { path: '/desk', word: 'tab.desk', key: 'B' },
    { path: '/history', word: 'tab.history', key: 'Y' },
    { path: '/voicemail', word: 'tab.voicemail', key: 'I' },
    { path: '/contacts', word: 'tab.contacts', key: 'Z' },
    { path: '/rules', word: 'tab.rules', short: 'tab.rulesShort', key: ';' },
    ...(me.standIns ? [{ path: '/outside', word: 'tab.outside', key: 'N' }] : []),
  ];
}
