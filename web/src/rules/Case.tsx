import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { RuleBody, RulesView, RuleView } from '../api/types';
import { dayAndTime } from '../words/time';
import { RuleForm } from './RuleForm';
import { type Situation, callersInWords, hoursInWords, targetInWords } from './rules';

interface Props {
  when: Situation;
  rules: RulesView;
  /** Which rule somebody has come to see. */
  wanted?: number;
  /** Whether a call that was tried was in it. */
  lit: boolean;
  onKeep: (rule: RuleBody) => Promise<unknown>;
  onTake: (id: number) => void;
  onFirst: (id: number) => void;
}

/** One case in which a call can find somebody: its rules in their order, and what else happens. */
export function Case({ when, rules, wanted, lit, onKeep, onTake, onFirst }: Props) {
  const { t } = useTranslation();
  const [editing, setEditing] = useState<number>();
  const of = rules.rules.filter((each) => each.when === when);
  const name = t(`rules.${rules.owner.kind === 'GROUP' ? 'caseLine' : 'case'}.${when}`);
  const always = of.some((each) => each.callers.kind === 'ANYBODY' && !each.times && !each.until);

  return (
    <li
      className={`grid gap-x-3 py-1 sm:grid-cols-[9.5rem_minmax(0,1fr)] ${lit ? 'border-primary -ml-3 border-l-4 pl-2' : ''}`}
    >
      <h3 className={lit ? 'font-semibold' : 'quiet'}>{name}</h3>
      <div>
        <ul>
          {of.map((rule, index) => (
            <li key={rule.id} id={`rule-${rule.id}`}>
              {editing === rule.id ? (
                <RuleForm
                  when={when}
                  rule={rule}
                  onKeep={onKeep}
                  onDone={() => setEditing(undefined)}
                />
              ) : (
                <Sentence
                  rule={rule}
                  name={name}
                  marked={rule.id === wanted}
                  mayChange={rules.mayChange}
                  onChange={() => setEditing(rule.id)}
                  onTake={() => onTake(rule.id)}
                  onFirst={index > 0 ? () => onFirst(rule.id) : undefined}
                />
              )}
            </li>
          ))}
        </ul>
        {editing === 0 && (
          <RuleForm when={when} onKeep={onKeep} onDone={() => setEditing(undefined)} />
        )}
        <div className="flex flex-wrap items-center gap-2">
          {!always && <span className="quiet text-sm">{t(`rules.${otherwise(when, rules)}`)}</span>}
          {rules.mayChange && editing === undefined && (
            <button
              type="button"
              className="btn btn-xs btn-plain ml-auto"
              aria-label={t('rules.addFor', { case: name })}
              onClick={() => setEditing(0)}
            >
              {t('rules.add')}
            </button>
          )}
        </div>
      </div>
    </li>
  );
}

/** What happens in a case for which there is no rule. */
function otherwise(when: Situation, rules: RulesView): string {
  if (when === 'ALWAYS') {
    return 'otherwiseOn';
  }
  if (when === 'BUSY' && rules.owner.kind !== 'GROUP') {
    return 'otherwiseBusy';
  }
  return rules.mailbox ? 'otherwise' : 'otherwiseNone';
}

interface SentenceProps {
  rule: RuleView;
  name: string;
  marked: boolean;
  mayChange: boolean;
  onChange: () => void;
  onTake: () => void;
  onFirst?: () => void;
}

/** A rule in words; what is underlined is changed in its place. */
function Sentence({ rule, name, marked, mayChange, onChange, onTake, onFirst }: SentenceProps) {
  const { t } = useTranslation();
  const callers = callersInWords(rule.callers, t);
  const about = { case: name, callers };
  const words = t('rules.sentence', { callers, target: targetInWords(rule.to, t) });
  const more = [
    rule.times && hoursInWords(rule.times, t),
    rule.until && t('rules.until', { time: dayAndTime(rule.until) }),
    !rule.holds && t('rules.holdsNot'),
  ].filter(Boolean);
  return (
    <div
      className={`flex flex-wrap items-center gap-2 py-0.5 ${marked ? 'drop-here rounded px-1' : ''}`}
    >
      {mayChange ? (
        <button
          type="button"
          className="decoration-primary text-left font-semibold underline decoration-dotted underline-offset-4"
          aria-label={t('rules.changeRule', about)}
          onClick={onChange}
        >
          {words}
        </button>
      ) : (
        <span className="font-semibold">{words}</span>
      )}
      <span className="quiet text-sm">{more.join(' · ')}</span>
      {mayChange && (
        <span className="ml-auto flex gap-1">
          {onFirst && (
            <button
              type="button"
              className="btn btn-xs btn-plain"
              aria-label={t('rules.upRule', about)}
              onClick={onFirst}
            >
              {t('rules.up')}
            </button>
          )}
          <button
            type="button"
            className="btn btn-xs btn-plain"
            aria-label={t('rules.takeRule', about)}
            onClick={onTake}
          >
            {t('rules.take')}
          </button>
        </span>
      )}
    </div>
  );
}
