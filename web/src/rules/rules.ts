import { queryOptions, useQuery } from '@tanstack/react-query';
import type { TFunction } from 'i18next';
import { del, get, post, put, putFile } from '../api/client';
import type {
  BlockPage,
  BlockView,
  CallersView,
  Hours,
  NewBlock,
  OpeningBody,
  ReadBlocks,
  RuleBody,
  RulesBody,
  RulesView,
  RuleView,
  TargetView,
  TrialView,
} from '../api/types';
import { nameOf } from '../calls/order';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

const KEY = 'rules';

/** In the order of the stations of the drawing. */
export const TAKING = ['DO_NOT_DISTURB', 'OFF_DUTY'] as const;
export const OTHERWISE = ['NO_ANSWER', 'BUSY', 'DECLINED', 'NOT_THERE'] as const;

export type Situation = RuleView['when'];

/** Whose rules: mine when there is no line. */
const path = (line?: number) => `/api/rules${line ? `?line=${line}` : ''}`;

export const rulesOf = (line?: number) =>
  queryOptions({ queryKey: [KEY, 'of', line ?? 0], queryFn: () => get<RulesView>(path(line)) });

let underWay: Promise<unknown> | undefined;

/** Keeps rules in the place of those that were shown; a second click meanwhile asks for nothing more. */
export const keepRules = (body: RulesBody, line?: number) =>
  (underWay ??= put(path(line), body).finally(() => {
    underWay = undefined;
  }));

/** Rules as they are sent to be kept. */
export const bodyOf = (view: RulesView): RulesBody => ({
  rules: view.rules.map(ruleBody),
  rings: view.rings.map(({ who, seconds }) => ({
    who: who.map((each) => each.dial ?? ''),
    seconds,
  })),
  hours: view.hours,
  delegates: view.delegates.map((each) => each.person ?? 0),
  welcome: view.welcome,
  version: view.version,
});

export const ruleBody = ({ id, when, callers, times, until, to }: RuleView): RuleBody => ({
  id,
  when,
  callers: {
    kind: callers.kind,
    people: callers.people.map((each) => each.person ?? 0),
    numbers: callers.numbers.map((each) => each.dial ?? ''),
    companies: callers.companies,
  },
  times,
  until,
  to: { kind: to.kind, dial: to.dial },
});

export const tryIt = (tried: { caller: string; called: string; when?: string; given: string }) =>
  post<TrialView>('/api/rules/try', tried);

export const opening = queryOptions({
  queryKey: [KEY, 'opening'],
  queryFn: () => get<OpeningBody>('/api/opening'),
});

export const keepOpening = (body: OpeningBody) => put('/api/office/opening', body);

export const readHolidays = (file: File) =>
  putFile<{ added: number }>('/api/office/holidays', file, 'text/calendar');

export const useBlocks = (ofOffice: boolean, text: string) =>
  useQuery({
    queryKey: [KEY, 'blocks', ofOffice, text],
    queryFn: () =>
      get<BlockPage>(`/api/blocks?${new URLSearchParams({ ofOffice: String(ofOffice), text })}`),
  });

export const block = (body: NewBlock) => post('/api/blocks', body);

export const unblock = ({ id }: BlockView) => del(`/api/blocks/${id}`);

export const changeBlock = ({ id, note }: BlockView, answer: BlockView['answer']) =>
  put(`/api/blocks/${id}`, { answer, note });

export const blockFile = (file: File, ofOffice: boolean, answer: BlockView['answer']) =>
  putFile<ReadBlocks>(
    `/api/blocks/file?${new URLSearchParams({ ofOffice: String(ofOffice), answer })}`,
    file,
    'text/csv',
  );

/** Whose calls, in words. */
export function callersInWords(callers: CallersView, t: TFunction): string {
  if (callers.kind !== 'CHOSEN') {
    return t(`rules.callers.${callers.kind}`);
  }
  const names = [...callers.people, ...callers.numbers].map((each) => nameOf(each, ''));
  return [...names, ...callers.companies].join(', ');
}

/** Where a call goes, in words. */
export const targetInWords = (to: TargetView, t: TFunction): string =>
  to.party ? nameOf(to.party, '') : t(`rules.target.${to.kind}`);

/** Times of the week, in words. */
export function hoursInWords(hours: Hours, t: TFunction): string {
  const spans = hours.spans.map(({ days, from, to }) =>
    t('rules.span', { days: daysInWords(days, t), from: from.slice(0, 5), to: to.slice(0, 5) }),
  );
  const dates = [
    hours.first && t('rules.from', { day: hours.first }),
    hours.last && t('rules.to', { day: hours.last }),
  ];
  return [
    spans.length === 0 ? t('rules.allDay') : spans.join(', '),
    ...dates,
    hours.holidays !== 'AS_USUAL' && t(`rules.holidays.${hours.holidays}`),
  ]
    .filter(Boolean)
    .join(', ');
}

export const DAYS = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY',
] as const;

/** Days that follow on each other are told by the first and the last. */
function daysInWords(days: readonly string[], t: TFunction): string {
  const there = DAYS.map((day, index) => ({ day, index })).filter(({ day }) => days.includes(day));
  const first = there[0];
  const last = there.at(-1);
  if (first && last && there.length > 2 && last.index - first.index === there.length - 1) {
    return t('rules.days', {
      first: t(`rules.day.${first.day}`),
      last: t(`rules.day.${last.day}`),
    });
  }
  return there.map(({ day }) => t(`rules.day.${day}`)).join(', ');
}
