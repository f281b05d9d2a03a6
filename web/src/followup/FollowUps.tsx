import { useState } from 'react';
import { InsteadOfList } from '../ui/InsteadOfList';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { FollowUpForm } from './FollowUpForm';
import { FollowUpRow } from './FollowUpRow';
import { add, useFollowUps } from './followUps';

/** Everything that is still to be done, mine or my team's, what is due first on top. */
export function FollowUps() {
  const { t } = useTranslation();
  const [team, setTeam] = useState(false);
  const [adding, setAdding] = useState(false);
  const { data, error, isPending } = useFollowUps(team);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{t('followUp.title')}</h1>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        {[false, true].map((each) => (
          <button
            key={String(each)}
            type="button"
            aria-pressed={team === each}
            className={`btn btn-sm ${team === each ? 'btn-primary' : 'btn-plain'}`}
            onClick={() => setTeam(each)}
          >
            {t(each ? 'followUp.team' : 'followUp.mine')}
          </button>
        ))}
        <Link to="/history" className="btn btn-sm btn-plain">
          {t('tab.history')}
        </Link>
        <button
          type="button"
          className="btn btn-sm btn-primary ml-auto"
          onClick={() => setAdding(!adding)}
        >
          {t('followUp.add')}
        </button>
      </div>
      {adding && (
        <div className="sheet mb-3 px-4 py-2">
          <FollowUpForm onKeep={add} onDone={() => setAdding(false)} />
        </div>
      )}
      <div className="sheet min-h-0 flex-1 overflow-y-auto">
        <InsteadOfList
          error={error}
          pending={isPending}
          empty={data?.length === 0}
          none={t('followUp.none')}
        />
        <ul className="divide-base-300 divide-y">
          {data?.map((each) => (
            <FollowUpRow key={each.id} followUp={each} />
          ))}
        </ul>
      </div>
    </div>
  );
}
