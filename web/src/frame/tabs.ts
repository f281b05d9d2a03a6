import type { Me } from '../api/types';

/** The views there are, in the order of their tabs. */
export function tabs(me: Me) {
  return [
    { path: '/desk', word: 'tab.desk', key: 'B' },
    { path: '/history', word: 'tab.history', key: 'Y' },
    { path: '/voicemail', word: 'tab.voicemail', key: 'I' },
    { path: '/contacts', word: 'tab.contacts', key: 'Z' },
    { path: '/rules', word: 'tab.rules', key: ';' },
    ...(me.standIns ? [{ path: '/outside', word: 'tab.outside', key: 'N' }] : []),
  ];
}
