import type { TFunction } from 'i18next';
import type { CallView, PersonView, SlotView } from '../api/types';
import { nameOf } from './order';
import { connect, park, send, takeParkedOrThrow } from './services';

/** Whoever can be called: a colleague, or somebody outside with the number to dial. */
type Callable = Pick<PersonView, 'name' | 'extension'>;

/** What a call can be dropped on. */
export type DropTarget =
  | { kind: 'person'; person: Callable }
  | { kind: 'slot'; slot: SlotView }
  | { kind: 'call'; call: CallView };

/** What a drop would do. Without `run` it would do nothing, and the words say why. */
export interface DropEffect {
  words: string;
  hint?: string;
  run?: () => Promise<unknown>;
  /** What to say when it is done; nothing where the strips tell. */
  done?: string;
  undo?: () => Promise<unknown>;
}

/** Says what dropping this call there would do, from what the server says is possible. */
export function dropEffect(
  call: CallView,
  target: DropTarget,
  shift: boolean,
  t: TFunction,
): DropEffect {
  const name = nameOf(call.other, t('party.withheld'));
  switch (target.kind) {
    case 'person':
      return ontoPerson(call, name, target.person, shift, t);
    case 'slot':
      return intoSlot(call, name, target.slot, t);
    case 'call':
      return ontoCall(call, name, target.call, shift, t);
  }
}

function ontoPerson(
  call: CallView,
  name: string,
  person: Callable,
  shift: boolean,
  t: TFunction,
): DropEffect {
  const about = { name, to: person.name };
  const to = person.extension;
  if (call.actions.includes('DEFLECT')) {
    return { words: t('drop.deflect', about), run: () => send(call, 'deflect', { to }) };
  }
  if (call.actions.includes('TRANSFER') && !shift) {
    return {
      words: t('drop.putThrough', about),
      hint: t('drop.shiftAnnounce'),
      run: () => send(call, 'put-through', { to }),
    };
  }
  if (call.actions.includes('TRANSFER')) {
    return { words: t('drop.announce', about), run: () => send(call, 'announce', { to }) };
  }
  if (call.actions.includes('ADD')) {
    return { words: t('drop.add', about), run: () => send(call, 'announce', { to }) };
  }
  return { words: t('drop.notNow', about) };
}

function intoSlot(call: CallView, name: string, slot: SlotView, t: TFunction): DropEffect {
  const about = { name, slot: slot.slot };
  if (slot.waiting) {
    return { words: t('problem.SLOT_TAKEN', about) };
  }
  if (!call.actions.includes('PARK')) {
    return { words: t(call.phase === 'RINGING' ? 'problem.NOT_TO_A_SLOT' : 'drop.notNow', about) };
  }
  return {
    words: t('drop.park', about),
    run: () => park(call, { slot: slot.slot }),
    done: t('drop.parked', about),
    undo: () => takeParkedOrThrow(slot.slot, call.id),
  };
}

function ontoCall(
  call: CallView,
  name: string,
  other: CallView,
  shift: boolean,
  t: TFunction,
): DropEffect {
  const about = { name, to: nameOf(other.other, t('party.withheld')) };
  // The server says of the held one of the two that they can be joined.
  const held = [call, other].find((each) => each.actions.includes('JOIN'));
  const partner = held === call ? other : call;
  if (!held || held.partner !== partner.id || call.id === other.id) {
    return { words: t('drop.notNow', about) };
  }
  if (shift && held.actions.includes('HAND_OVER')) {
    return { words: t('drop.connect', about), run: () => connect(held, partner, 'HAND_OVER') };
  }
  return {
    words: t('drop.join', about),
    hint: held.actions.includes('HAND_OVER') ? t('drop.shiftConnect') : undefined,
    run: () => connect(held, partner, 'JOIN'),
  };
}
