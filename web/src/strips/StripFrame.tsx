import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { AnyPanel } from '../calls/AnyPanel';
import { useCallDrag, useDrop } from '../calls/drag';
import { nameOf } from '../calls/order';
import { useCallStore } from '../calls/store';
import { useArrival } from '../ui/arrival';

interface Props {
  call: CallView;
  /** Of its edge and paper. */
  look: string;
  children: ReactNode;
}

/** The paper strip of a call: it can be dragged, others can be dropped on it, its panel opens in it. */
export function StripFrame({ call, look, children }: Props) {
  const { t } = useTranslation();
  const panel = useCallStore((store) => (store.panel?.call === call.id ? store.panel.what : ''));
  const chosen = useCallStore((store) => store.chosen === call.id);
  const { setNode: setDragNode, handlers } = useCallDrag(call);
  const { setNode: setDropNode, over } = useDrop({ kind: 'call', call });
  return (
    <div ref={useArrival<HTMLDivElement>()}>
      <article
        ref={(node) => {
          setDragNode(node);
          setDropNode(node);
        }}
        aria-label={
          call.conference ? t('conference.name') : nameOf(call.other, t('party.withheld'))
        }
        aria-current={chosen || undefined}
        className={`sheet relative px-4 ${look} ${chosen ? 'chosen-strip' : ''} ${over ? 'drop-here' : ''}`}
        {...handlers}
      >
        {children}
        {panel && <AnyPanel call={call} what={panel} />}
      </article>
    </div>
  );
}
