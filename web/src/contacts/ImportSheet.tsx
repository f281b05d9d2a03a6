import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { ContactImport } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { ImportPreview } from './ImportPreview';
import { ImportRunning } from './ImportRunning';
import { readIn } from './imports';

/** Reads a file of contacts in: first it is looked at, then taken over. */
export function ImportSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const [own, setOwn] = useState(false);
  const [read, setRead] = useState<ContactImport>();
  const [running, setRunning] = useState(false);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState('');

  async function chosen(file: File | undefined) {
    if (!file) {
      return;
    }
    setError('');
    setBusy(true);
    try {
      setRead(await readIn(file, own));
    } catch (problem) {
      setError(sentence(problem));
    } finally {
      setBusy(false);
    }
  }

  return (
    <Dialog title={t('contacts.import.title')} onClose={onClose} wide>
      {!read && (
        <>
          <p className="mb-3">{t('contacts.import.how')}</p>
          <label className="mb-3 flex items-center gap-2">
            <input
              type="checkbox"
              checked={own}
              onChange={(event) => setOwn(event.target.checked)}
              className="checkbox checkbox-sm checkbox-primary"
            />
            {t('contacts.import.own')}
          </label>
          <label className="btn btn-primary focus-within:outline-2">
            {t('contacts.import.choose')}
            <input
              type="file"
              accept=".vcf,.csv,.txt,.tsv,text/vcard,text/csv"
              className="sr-only"
              onChange={(event) => void chosen(event.target.files?.[0])}
            />
          </label>
          {busy && <p className="quiet mt-3">{t('loading')}</p>}
        </>
      )}
      <p role="alert" className="text-error mt-3 font-semibold empty:hidden">
        {error}
      </p>
      {read && !running && (
        <ImportPreview read={read} onTaken={() => setRunning(true)} onError={setError} />
      )}
      {read && running && <ImportRunning id={read.id} onClose={onClose} />}
    </Dialog>
  );
}
