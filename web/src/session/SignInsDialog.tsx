import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, sentence } from '../api/client';
import type { SignInView } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { dayAndTime } from '../words/time';
import { browserOf } from './browser';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

const KEY = ['sign-ins'];

/** Where I am signed in: each place can be signed out from here. */
export function SignInsDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [problem, setProblem] = useState<unknown>(null);
  const { data, error } = useQuery({
    queryKey: KEY,
    queryFn: () => get<SignInView[]>('/api/session/sign-ins'),
    staleTime: 0,
  });

  async function end(path: string) {
    try {
      await del(path);
      setProblem(null);
    } catch (refused) {
      setProblem(refused);
    }
    await queries.invalidateQueries({ queryKey: KEY });
  }

  const wrong = problem ?? error;
  return (
    <Dialog title={t('signIns.title')} onClose={onClose}>
      {wrong !== null && (
        <p role="alert" className="text-error mb-2 font-semibold">
          {sentence(wrong)}
        </p>
      )}
      <ul aria-label={t('signIns.title')}>
        {data?.map((each) => (
          <li
            key={each.id}
            className="border-base-300 flex items-center gap-3 border-b py-2 last:border-b-0"
          >
            <p className="min-w-0 flex-1">
              <span className="font-semibold">{browserOf(each.agent) ?? t('signIns.unknown')}</span>
              {each.here && <span className="ml-2 font-bold">{t('signIns.here')}</span>}
              <span className="quiet block text-sm">
                {t('signIns.from', { place: each.place, began: dayAndTime(each.began) })}
              </span>
              <span className="quiet block text-sm">
                {t('signIns.used', { used: dayAndTime(each.lastUsed) })}
              </span>
            </p>
            {!each.here && (
              <button
                type="button"
                className="btn btn-sm btn-plain"
                onClick={() => void end(`/api/session/sign-ins/${each.id}`)}
              >
                {t('signIns.end')}
              </button>
            )}
          </li>
        ))}
      </ul>
      {data && data.length > 1 && (
        <button
          type="button"
          className="btn btn-plain mt-3"
          onClick={() => void end('/api/session/sign-ins')}
        >
          {t('signIns.endOthers')}
        </button>
      )}
    </Dialog>
  );
}
