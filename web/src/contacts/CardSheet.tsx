import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Dialog } from '../ui/Dialog';
import { addWords } from '../words';
import { AddToCard } from './AddToCard';
import { CardForm } from './CardForm';
import { OpenCard } from './OpenCard';
import { add, blank } from './contacts';
import words from './words.view.en.json';

addWords(words);

interface Props {
  /** Whose card it is; a new one when there is none. */
  contact?: number;
  /** What is known of whoever the new card is for. */
  number: string;
  onClose: () => void;
}

/** A card over whatever one is doing: that of a contact, or a new one with the number filled in. */
export function CardSheet({ contact, number, onClose }: Props) {
  const { t } = useTranslation();
  const [written, setWritten] = useState(contact);
  return (
    <Dialog title={t(written ? 'contacts.card' : 'contacts.newTitle')} onClose={onClose} wide>
      {written ? (
        <OpenCard id={written} onGone={onClose} />
      ) : (
        <>
          <CardForm
            card={blank(number)}
            fresh
            onKeep={async (own, card) => setWritten((await add(own, card)).row.id)}
            onCancel={onClose}
          />
          {number && <AddToCard number={number} onAdded={setWritten} />}
        </>
      )}
    </Dialog>
  );
}
