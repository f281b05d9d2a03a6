import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { takePart } from '../lines/lines';
import { MyLines } from '../status/MyLines';
import { Dialog } from '../ui/Dialog';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { useQueues } from './queues';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

/** Takes part in all my lines, or rests for a reason, by a digit; or in each by its own switch. */
export function PartSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const { reasons } = useQueues();
  const [error, setError] = useState('');
  const choices = useMemo(
    () => [
      { name: t('part.take'), does: () => takePart(true) },
      ...reasons.map((reason) => ({
        name: t('part.rest', { reason }),
        does: () => takePart(false, undefined, reason),
      })),
      { name: t('part.restPlainly'), does: () => takePart(false) },
    ],
    [reasons, t],
  );
  const choose = useMemo(
    () => (does: () => Promise<unknown>) => {
      does().then(onClose, (problem: unknown) => setError(sentence(problem)));
    },
    [onClose],
  );
  useKeys(
    useMemo(
      () =>
        choices.map(({ does }, index) => ({
          key: String(index + 1),
          always: true,
          run: () => choose(does),
        })),
      [choices, choose],
    ),
  );
  return (
    <Dialog title={t('queues.part')} onClose={onClose}>
      <div role="group" aria-label={t('part.all')} className="flex flex-col gap-1.5">
        {choices.map(({ name, does }, index) => (
          <button
            key={name}
            type="button"
            className="btn btn-plain justify-between"
            onClick={() => choose(does)}
          >
            {name} <KeyCap name={String(index + 1)} />
          </button>
        ))}
      </div>
      <MyLines />
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
    </Dialog>
  );
}
