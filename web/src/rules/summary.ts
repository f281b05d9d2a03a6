import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { get } from '../api/client';
import type { RulesView, RuleView } from '../api/types';
import { nameOf } from '../calls/order';
import { ringing, useDevices } from '../devices/store';
import { type Kind, useOwnStatus } from '../status/status';

/** What somebody says of themselves, and the situation of rules that it is. */
const SITUATION: Partial<Record<Kind, RuleView['when']>> = {
  DO_NOT_DISTURB: 'DO_NOT_DISTURB',
  OFF_DUTY: 'OFF_DUTY',
  AWAY: 'NOT_THERE',
};

/** Of every caller, at this moment. */
const forAll = (rule: RuleView) => rule.callers.kind === 'ANYBODY' && rule.holds;

/** What becomes of calls to me, in one line; empty until it is known. */
export function useSummary(): string {
  const { t } = useTranslation();
  const where = useDevices((store) => ringing(store.view));
  const { data } = useQuery({
    queryKey: ['rules', 'of', 0],
    queryFn: () => get<RulesView>('/api/rules'),
  });
  const status = useOwnStatus();
  if (!data) {
    return '';
  }
  const target = ({ to }: RuleView) => (to.party ? nameOf(to.party, '') : t(`summary.${to.kind}`));
  const everything = data.rules.find((each) => each.when === 'ALWAYS' && forAll(each));
  if (everything && everything.to.kind !== 'RING') {
    return t('summary.everything', { target: target(everything) });
  }
  const otherwise = t(data.mailbox ? 'summary.VOICEMAIL' : 'summary.none');
  const situation = status && SITUATION[status.kind];
  const instead = data.rules.find((each) => each.when === situation && forAll(each));
  if (situation && instead?.to.kind !== 'RING') {
    return t('summary.quiet', { target: instead ? target(instead) : otherwise });
  }
  const then = data.rules.find((each) => each.when === 'NO_ANSWER' && forAll(each));
  const [first] = data.rings;
  return t(`summary.rings.${where}`, {
    seconds: first?.seconds ?? data.ringSeconds,
    then: then ? target(then) : otherwise,
  });
}
