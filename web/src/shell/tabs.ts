import type { Me } from '../api/types';

export interface View {
  path: string;
  word: string;
  key: string;
}

/** What one does all day: these have a tab each, in this order. */
export const TABS: View[] = [
  { path: '/desk', word: 'tab.desk', key: 'B' },
  { path: '/history', word: 'tab.history', key: 'Y' },
  { path: '/voicemail', word: 'tab.voicemail', key: 'I' },
  { path: '/contacts', word: 'tab.contacts', key: 'Z' },
];

/** For those who are in one, and for administrators as long as there is one. */
export const QUEUES: View = { path: '/queues', word: 'queues.tab', key: "'" };

/** Opens from the line that sums them up. */
export const RULES: View = { path: '/rules', word: 'tab.rules', key: ';' };

/** Where equipment is simulated: opens from my menu. */
export const OUTSIDE: View = { path: '/outside', word: 'tab.outside', key: 'N' };

/** The registers of the office, for administrators: opens from their menu. */
export const OFFICE: View = { path: '/office', word: 'tab.office', key: '=' };

/** All views that a person has. */
export const views = (me: Me, queues: boolean): View[] => [
  ...TABS,
  ...(queues ? [QUEUES] : []),
  RULES,
  ...(me.role === 'administrator' ? [OFFICE] : []),
  ...(me.standIns ? [OUTSIDE] : []),
];
