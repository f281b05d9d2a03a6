import { IconPhone } from '@tabler/icons-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { sentence } from '../api/client';
import type { ContactView } from '../api/types';
import { callParty } from '../calls/services';
import { Before } from '../followup/Before';
import { useKnownContact } from '../followup/followUps';
import { AddKeyButton } from '../speed/AddKeyButton';
import { CardForm } from './CardForm';
import { Changes } from './Changes';
import { OwnGroups } from '../people/OwnGroups';
import { PrintKey } from '../ui/PrintKey';
import { Picture } from './Picture';
import { bodyOf, change, changeGroups, remove, useContact } from './contacts';

interface Props {
  id: number;
  /** When it was deleted. */
  onGone: () => void;
}

/** One card, to be read, called from and changed. */
export function OpenCard({ id, onGone }: Props) {
  const { data, error } = useContact(id);
  const [editing, setEditing] = useState(false);
  if (error) {
    return (
      <p role="alert" className="text-error font-semibold">
        {sentence(error)}
      </p>
    );
  }
  if (!data) {
    return null;
  }
  return editing ? (
    <CardForm
      card={bodyOf(data)}
      onKeep={async (_, card) => {
        await change(id, card);
        setEditing(false);
      }}
      onCancel={() => setEditing(false)}
    />
  ) : (
    <Written contact={data} onEdit={() => setEditing(true)} onGone={onGone} />
  );
}

interface WrittenProps {
  contact: ContactView;
  onEdit: () => void;
  onGone: () => void;
}

function Written({ contact, onEdit, onGone }: WrittenProps) {
  const { t } = useTranslation();
  const { row, mails, addresses, tags, note } = contact;
  const known = useKnownContact(row.id);
  return (
    <article data-paper aria-label={row.title}>
      <header className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <Picture contact={row} />
        <div className="min-w-0 flex-1">
          <h2 className="text-xl font-bold break-words">{row.title}</h2>
          <p className="quiet">
            {[row.subtitle, row.own ? t('contacts.own') : ''].filter(Boolean).join(' · ')}
          </p>
          {tags.length > 0 && (
            <p className="mt-1 flex flex-wrap gap-1.5">
              {tags.map((tag) => (
                <span key={tag} className="bg-base-200 rounded px-1.5 text-sm">
                  {tag}
                </span>
              ))}
            </p>
          )}
        </div>
        <div className="flex gap-2 max-sm:basis-full">
          <button type="button" className="btn btn-sm btn-plain" onClick={onEdit}>
            {t('contacts.edit')}
          </button>
          <PrintKey />
          <button
            type="button"
            className="btn btn-sm btn-plain"
            onClick={() => void remove(row.id, row.title).then((done) => done && onGone())}
          >
            {t('contacts.remove')}
          </button>
        </div>
      </header>
      <ul className="mt-4 flex flex-col gap-1.5">
        {row.numbers.map((each) => (
          <li key={each.dial} className="flex flex-wrap items-center gap-3">
            <span className="quiet w-16">{t(`numberType.${each.type}`)}</span>
            <span className="text-lg">
              {each.shown}
              {each.extension && (
                <span className="quiet"> {t('dial.extension', { digits: each.extension })}</span>
              )}
            </span>
            <button
              type="button"
              className="btn btn-sm btn-plain"
              aria-label={t('contacts.callNumber', {
                name: row.title,
                type: t(`numberType.${each.type}`),
                number: each.shown,
              })}
              onClick={() => void callParty({ dial: each.dial })}
            >
              <IconPhone size={16} aria-hidden="true" />
              {t('dial.call')}
            </button>
            <AddKeyButton
              target={{
                kind: 'CONTACT',
                of: String(row.id),
                number: each.dial,
                name: row.title,
              }}
            />
          </li>
        ))}
      </ul>
      {mails.map((mail) => (
        <p key={mail} className="mt-2">
          <a className="underline" href={`mailto:${mail}`}>
            {mail}
          </a>
        </p>
      ))}
      {addresses.map((address) => (
        <p key={address} className="mt-2">
          {address}
        </p>
      ))}
      {note && <p className="mt-3 whitespace-pre-wrap">{note}</p>}
      {known && (
        <div className="border-base-300 mt-4 border-t pt-3">
          <Before known={known} />
          <Link className="btn btn-xs btn-plain mt-2" to={`/history?contact=${row.id}`}>
            {t('contacts.myCalls')}
          </Link>
        </div>
      )}
      <OwnGroups
        names={contact.groups}
        onChange={(change) => void changeGroups(row.id, change)}
        look="border-base-300 mt-4 border-t pt-3"
      />
      <Changes id={row.id} />
    </article>
  );
}
