import { beforeEach, expect, test } from 'vitest';
import type { CallView } from '../api/types';
import { callStore, useCallStore } from './store';

const calls = (...ids: string[]) => ids.map((id) => ({ id }) as CallView);

beforeEach(callStore.reset);

test('whoever is clicked is called, unless a panel asks for somebody', () => {
  callStore.take(calls('dov'));
  expect(callStore.meantFor('212')).toBe(false);
  callStore.togglePanel('dov', 'KEYS');
  expect(callStore.meantFor('212'), 'a keypad asks for nobody').toBe(false);
  for (const what of ['TRANSFER', 'ADD'] as const) {
    callStore.togglePanel('dov', what);
    expect(callStore.meantFor('212')).toBe(true);
    expect(useCallStore.getState().target.dial).toBe('212');
  }
});

test('the same one clicked twice is taken twice, and a closed panel forgets them', () => {
  callStore.take(calls('dov'));
  callStore.togglePanel('dov', 'TRANSFER');
  callStore.meantFor('212');
  const { nth } = useCallStore.getState().target;
  callStore.meantFor('212');
  expect(useCallStore.getState().target.nth).not.toBe(nth);
  callStore.closePanel();
  expect(useCallStore.getState().target.dial).toBe('');
});

test('the panel of a call that has ended asks for nobody', () => {
  callStore.take(calls('dov', 'una'));
  callStore.togglePanel('dov', 'TRANSFER');
  callStore.take(calls('una'));
  expect(callStore.meantFor('212')).toBe(false);
});
