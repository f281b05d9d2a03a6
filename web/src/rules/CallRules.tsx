import { useQuery } from '@tanstack/react-query';
import { Suspense, lazy, useEffect, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'wouter';
import { sentence } from '../api/client';
import type { Hours, RuleBody, RulesBody, RulesView, StationView, TrialView } from '../api/types';
import { nameOf } from '../calls/order';
import { useLines } from '../lines/lines';
import { attempt } from '../notices/attempt';
import { useMe } from '../session/session';
import { Case } from './Case';
import { Delegates } from './Delegates';
import { ForAWhile } from './ForAWhile';
import { HoursForm, usual } from './HoursForm';
import { Lines } from './Lines';
import { Rings } from './Rings';
import { TryIt } from './TryIt';
import { OTHERWISE, TAKING, bodyOf, hoursInWords, keepRules, rulesOf, useBlocks } from './rules';
import { clockTime } from '../words/time';

const BlocksSheet = lazy(() => import('./BlocksSheet').then((it) => ({ default: it.BlocksSheet })));

/** Where my calls go, and those of my lines: drawn as the way of a call, changed in its place, and tried. */
export function CallRules() {
  const { t } = useTranslation();
  const me = useMe();
  const [line, setLine] = useState<number>();
  const [trial, setTrial] = useState<TrialView>();
  const lines = useLines().filter((each) => each.mine || me.role === 'administrator');
  const { data, error } = useQuery(rulesOf(line));
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{t('rules.title')}</h1>
      <div className="grid min-h-0 flex-1 gap-3 lg:grid-cols-[minmax(0,1fr)_var(--people)] lg:gap-x-4">
        <div className="min-h-0 lg:overflow-y-auto lg:pr-1">
          <label className="mb-2 flex items-center gap-2 text-sm">
            {t('rules.whose')}
            <select
              className="select select-sm w-52"
              value={line ?? ''}
              onChange={(event) => setLine(Number(event.target.value) || undefined)}
            >
              <option value="">{t('rules.mine')}</option>
              {lines.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
          </label>
          {error && (
            <p role="alert" className="text-error font-semibold">
              {sentence(error)}
            </p>
          )}
          {data && <Drawing key={line ?? 0} rules={data} line={line} trial={trial} />}
          <Lines />
        </div>
        <TryIt trial={trial} onTried={setTrial} />
      </div>
    </div>
  );
}

interface DrawingProps {
  rules: RulesView;
  line?: number;
  /** A call that was tried; where it went here lights up. */
  trial?: TrialView;
}

function Drawing({ rules, line, trial }: DrawingProps) {
  const { t } = useTranslation();
  const [address, setAddress] = useSearchParams();
  const wanted = Number(address.get('rule')) || undefined;
  const blocks = useBlocks(false, '').data;
  useEffect(() => {
    document.getElementById(`rule-${wanted}`)?.scrollIntoView({ block: 'center' });
  }, [wanted]);
  const group = line !== undefined;
  const found = trial?.stations.filter((each) => each.at.dial === rules.owner.dial);
  const lit = (...kinds: StationView['kind'][]) => found?.some((each) => kinds.includes(each.kind));
  const litCases = (whens: readonly RuleBody['when'][]) =>
    found?.some((each) => each.situation && whens.includes(each.situation));

  const keep = (change: (body: RulesBody) => RulesBody) => keepRules(change(bodyOf(rules)), line);
  const keepRule = (rule: RuleBody) =>
    keep((body) => ({ ...body, rules: placed(rule, body.rules) }));
  const take = (id: number) =>
    void attempt(keep((body) => ({ ...body, rules: body.rules.filter((each) => each.id !== id) })));
  const first = (id: number) =>
    void attempt(
      keep((body) => ({
        ...body,
        rules: [
          ...body.rules.filter((each) => each.id === id),
          ...body.rules.filter((each) => each.id !== id),
        ],
      })),
    );
  const cases = (whens: readonly RuleBody['when'][]) => (
    <ul>
      {whens.map((when) => (
        <Case
          key={when}
          when={when}
          rules={rules}
          wanted={wanted}
          lit={litCases([when]) ?? false}
          onKeep={keepRule}
          onTake={take}
          onFirst={first}
        />
      ))}
    </ul>
  );

  return (
    <>
      {rules.mayChange && <ForAWhile rules={rules} onStart={keepRule} onStop={take} />}
      <h2 className="text-lg font-bold">
        {group ? t('rules.way', { name: nameOf(rules.owner, '') }) : t('rules.wayMine')}
      </h2>
      <p className="quiet mb-2 text-sm">{t(rules.mayChange ? 'rules.how' : 'rules.readOnly')}</p>
      <ol className="border-primary ml-2 flex flex-col gap-3 border-l-4 pl-4">
        <Station title={t('rules.comesIn')} lit={found && found.length > 0} />
        {!group && (
          <Station title={t('rules.blocked')} lit={lit('BLOCKED', 'NOT_BLOCKED')}>
            <p>
              <button
                type="button"
                className="decoration-primary font-semibold underline decoration-dotted underline-offset-4"
                onClick={() => setAddress({ blocked: '1' })}
              >
                {t('rules.blockedNow', { count: blocks?.count ?? 0 })}
              </button>{' '}
              <span className="quiet text-sm">{t('rules.blockedSee')}</span>
            </p>
          </Station>
        )}
        <Station
          title={t(group ? 'rules.takingLine' : 'rules.taking')}
          lit={found && (litCases(['ALWAYS', ...TAKING]) || lit('RINGS'))}
        >
          {cases(group ? ['ALWAYS', 'OFF_DUTY'] : ['ALWAYS', ...TAKING])}
          <OwnHours
            rules={rules}
            group={group}
            onKeep={(hours) => keep((body) => ({ ...body, hours }))}
          />
        </Station>
        <Station title={t('rules.rings')} lit={lit('RINGS', 'WELCOMED', 'WAITS')}>
          {group && (
            <label className="mb-1 flex flex-wrap items-center gap-x-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm checkbox-primary"
                checked={rules.welcome}
                disabled={!rules.mayChange}
                onChange={({ target }) =>
                  void attempt(keep((body) => ({ ...body, welcome: target.checked })))
                }
              />
              {t('rules.welcome')}
              {rules.welcome && <span className="quiet text-sm">{t('rules.welcomeHow')}</span>}
            </label>
          )}
          <Rings rules={rules} onKeep={(rings) => keep((body) => ({ ...body, rings }))} />
          {rules.keeps !== undefined && (
            <p className="mt-1">{t('rules.keeps', { time: clockTime(1000 * rules.keeps) })}</p>
          )}
        </Station>
        {!group && (
          <Station title={t('rules.delegates')}>
            <Delegates
              rules={rules}
              onKeep={(delegates) => keep((body) => ({ ...body, delegates }))}
            />
          </Station>
        )}
        <Station title={t('rules.ifNot')} lit={litCases(OTHERWISE)}>
          {cases(OTHERWISE)}
        </Station>
      </ol>
      <Suspense>
        {address.get('blocked') && <BlocksSheet onClose={() => setAddress({})} />}
      </Suspense>
    </>
  );
}

/** A rule in its place; a new one before those for everybody, behind which it would never be reached. */
function placed(rule: RuleBody, rules: RuleBody[]): RuleBody[] {
  if (rule.id > 0) {
    return rules.map((each) => (each.id === rule.id ? rule : each));
  }
  const first = rule.when === 'ALWAYS' || rule.callers.kind !== 'ANYBODY';
  return first ? [rule, ...rules] : [...rules, rule];
}

interface StationProps {
  title: string;
  /** Whether a call that was tried came by here; undefined when none was. */
  lit?: boolean;
  children?: ReactNode;
}

/** A station of the way, on the cord that leads through all of them. */
function Station({ title, lit, children }: StationProps) {
  return (
    <li className="sheet relative px-4 py-2.5">
      <span
        aria-hidden="true"
        className={`border-primary absolute top-3.5 -left-[27px] h-4 w-4 rounded-[3px] border-2 ${lit === false ? 'bg-base-100' : 'bg-primary'}`}
      />
      <h2 className="mb-0.5 font-bold">{title}</h2>
      {children}
    </li>
  );
}

interface HoursProps {
  rules: RulesView;
  group: boolean;
  onKeep: (hours?: Hours) => Promise<unknown>;
}

/** When calls are taken at all. */
function OwnHours({ rules, group, onKeep }: HoursProps) {
  const { t } = useTranslation();
  const [draft, setDraft] = useState<Hours>();
  const { hours, mayChange } = rules;
  return (
    <div className="grid gap-x-3 py-1 sm:grid-cols-[9.5rem_minmax(0,1fr)]">
      <h3 className="quiet">{t(group ? 'rules.hoursLine' : 'rules.hours')}</h3>
      {draft ? (
        <form
          aria-label={t(group ? 'rules.hoursLine' : 'rules.hours')}
          className="border-base-300 rounded border p-3"
          onSubmit={(event) => {
            event.preventDefault();
            void attempt(onKeep(draft)).then((done) => done && setDraft(undefined));
          }}
        >
          <HoursForm hours={draft} onChange={setDraft} />
          <div className="mt-2 flex gap-2">
            <button type="submit" className="btn btn-sm btn-primary">
              {t('rules.keepHours')}
            </button>
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() => setDraft(undefined)}
            >
              {t('rules.cancel')}
            </button>
          </div>
        </form>
      ) : (
        <div className="flex flex-wrap items-center gap-2">
          <span className="font-semibold">
            {hours ? hoursInWords(hours, t) : t('rules.always')}
          </span>
          {hours && (
            <span className="quiet text-sm">
              {t(group ? 'rules.outsideLine' : 'rules.outside')}
            </span>
          )}
          {mayChange && (
            <button
              type="button"
              className="btn btn-xs btn-plain"
              onClick={() => setDraft(hours ?? usual())}
            >
              {t(hours ? 'rules.changeHours' : 'rules.setHours')}
            </button>
          )}
          {mayChange && hours && (
            <button
              type="button"
              className="btn btn-xs btn-plain"
              onClick={() => void attempt(onKeep(undefined))}
            >
              {t('rules.clearHours')}
            </button>
          )}
        </div>
      )}
    </div>
  );
}
