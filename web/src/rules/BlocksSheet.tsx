import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { BlockView, ReadBlocks } from '../api/types';
import { nameOf } from '../calls/order';
import { Dialog } from '../ui/Dialog';
import { useSettled } from '../live/useSettled';
import { attempt } from '../notices/attempt';
import { useMe } from '../session/session';
import { dayAndTime } from '../words/time';
import { block, blockFile, changeBlock, unblock, useBlocks } from './rules';

const ANSWERS = ['BUSY', 'NOT_IN_USE', 'REFUSED', 'RINGS_ON', 'VOICEMAIL'] as const;
type Answer = (typeof ANSWERS)[number];

const TYPING_MS = 150;

interface Props {
  /** What is to be blocked, filled in; absent when the list alone is wanted. */
  what?: string;
  onClose: () => void;
}

/** Who is not let through to me, or for administrators to nobody: one by one, by beginnings, from a file. */
export function BlocksSheet({ what, onClose }: Props) {
  const { t } = useTranslation();
  const me = useMe();
  const [ofOffice, setOfOffice] = useState(false);
  const [typed, setTyped] = useState(what ?? '');
  const [note, setNote] = useState('');
  const [text, setText] = useState('');
  const [answer, setAnswer] = useState<Answer>('BUSY');
  const [told, setTold] = useState('');
  const [done, setDone] = useState<ReadBlocks>();
  const [error, setError] = useState('');
  const { data } = useBlocks(ofOffice, useSettled(text.trim(), TYPING_MS));
  const mayChange = !ofOffice || me.role === 'administrator';

  function failed(problem: unknown) {
    setTold('');
    setDone(undefined);
    setError(sentence(problem));
  }

  /** @param wanted blank for withheld numbers */
  async function add(wanted: string) {
    try {
      await block({ ofOffice, what: wanted, answer, note });
      setError('');
      setDone(undefined);
      setTold(t('blocks.done', { name: wanted || t('blocks.withheld') }));
      setTyped('');
      setNote('');
    } catch (problem) {
      failed(problem);
    }
  }

  function submit(event: FormEvent) {
    event.preventDefault();
    const wanted = typed.trim();
    if (wanted === '') {
      setTold('');
      setError(t('blocks.empty'));
    } else {
      void add(wanted);
    }
  }

  async function read(file: File) {
    try {
      const read = await blockFile(file, ofOffice, answer);
      setTold(t('blocks.readIn', { count: read.added }));
      setDone(read);
      setError('');
    } catch (problem) {
      failed(problem);
    }
  }

  const answers = ANSWERS.map((each) => (
    <option key={each} value={each}>
      {t(`blocks.answers.${each}`)}
    </option>
  ));

  return (
    <Dialog title={t('blocks.title')} onClose={onClose} wide>
      <div role="group" aria-label={t('rules.whose')} className="mb-3 flex gap-1">
        {[false, true].map((each) => (
          <button
            key={String(each)}
            type="button"
            aria-pressed={ofOffice === each}
            className={`btn btn-sm ${ofOffice === each ? 'btn-primary' : 'btn-plain'}`}
            onClick={() => setOfOffice(each)}
          >
            {t(each ? 'blocks.office' : 'blocks.mine')}
          </button>
        ))}
      </div>
      {mayChange && (
        <form
          className="mb-4 grid items-end gap-2 sm:grid-cols-[1fr_10rem_10rem_auto_auto]"
          onSubmit={submit}
        >
          <label className="text-sm">
            {t('blocks.what')}
            <input
              type="text"
              maxLength={40}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              className="input input-sm bg-base-100 block w-full"
            />
          </label>
          <label className="text-sm">
            {t('blocks.answer')}
            <select
              className="select select-sm mt-0.5 flex w-full"
              value={answer}
              onChange={(event) => setAnswer(event.target.value as Answer)}
            >
              {answers}
            </select>
          </label>
          <label className="text-sm">
            {t('blocks.note')}
            <input
              type="text"
              maxLength={200}
              value={note}
              onChange={(event) => setNote(event.target.value)}
              className="input input-sm bg-base-100 block w-full"
            />
          </label>
          <button type="submit" className="btn btn-sm btn-primary">
            {t('blocks.add')}
          </button>
          <button type="button" className="btn btn-sm btn-plain" onClick={() => void add('')}>
            {t('blocks.addWithheld')}
          </button>
        </form>
      )}
      <p role="status" className="font-semibold">
        {told}
      </p>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      {done?.restFrom && (
        <p role="alert" className="text-error text-sm font-semibold">
          {t('blocks.restFrom', { line: done.restFrom })}
        </p>
      )}
      <ul className="text-error max-h-40 overflow-y-auto text-sm wrap-anywhere">
        {done?.bad.map((each) => (
          <li key={each.line}>{t('blocks.bad', each)}</li>
        ))}
      </ul>
      <div className="mt-2 mb-2 flex flex-wrap items-center gap-2">
        <input
          type="search"
          aria-label={t('blocks.find')}
          placeholder={t('blocks.find')}
          maxLength={40}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="input input-sm bg-base-100 w-64"
        />
        {mayChange && (
          <label className="btn btn-sm btn-plain focus-within:outline-2">
            {t('blocks.file')}
            <input
              type="file"
              aria-label={t('blocks.fileOf')}
              accept=".csv,text/csv"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) {
                  void read(file);
                }
              }}
            />
          </label>
        )}
        {data && (
          <span className="quiet text-sm">{t('rules.blockedNow', { count: data.count })}</span>
        )}
      </div>
      {data?.blocks.length === 0 && <p className="quiet">{t('blocks.none')}</p>}
      <ul aria-label={t('blocks.title')} className="max-h-72 overflow-y-auto">
        {data?.blocks.map((each) => (
          <li
            key={each.id}
            className="border-base-300 flex flex-wrap items-center gap-2 border-b py-1.5"
          >
            <span className="min-w-40 flex-1">
              <span className="font-semibold">{inWords(each, t)}</span>{' '}
              <span className="quiet text-sm">
                {[
                  each.note,
                  each.last &&
                    t('blocks.attempts', { count: each.attempts, time: dayAndTime(each.last) }),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </span>
            {mayChange && (
              <>
                <select
                  aria-label={t('blocks.answerOf', { name: inWords(each, t) })}
                  className="select select-sm w-44"
                  value={each.answer}
                  onChange={(event) =>
                    void attempt(changeBlock(each, event.target.value as Answer))
                  }
                >
                  {answers}
                </select>
                <button
                  type="button"
                  className="btn btn-sm btn-plain"
                  aria-label={t('blocks.unblockName', { name: inWords(each, t) })}
                  onClick={() => void attempt(unblock(each))}
                >
                  {t('blocks.unblock')}
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      {data && data.attempts.length > 0 && (
        <section className="mt-4">
          <h3 className="font-bold">{t('blocks.tried')}</h3>
          <ul className="max-h-40 overflow-y-auto text-sm">
            {data.attempts.map((each) => (
              <li key={`${each.at}${each.who.name}`}>
                <span className="quiet">{dayAndTime(each.at)}</span>{' '}
                {nameOf(each.who, t('party.withheld'))}{' '}
                <span className="quiet">
                  {t('blocks.calledWhom', { name: nameOf(each.called, '') })}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
}

function inWords({ kind, shown, who }: BlockView, t: ReturnType<typeof useTranslation>['t']) {
  if (kind === 'NUMBER') {
    return who.name === shown ? shown : `${who.name} ${shown}`;
  }
  return kind === 'BEGINNING' ? t('blocks.beginning', { number: shown }) : t('blocks.withheld');
}
