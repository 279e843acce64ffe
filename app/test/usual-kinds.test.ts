import { handKinds } from '@pyrgotect/core';
import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import UsualKinds from '../src/hand/UsualKinds.vue';

it('while nothing is learnt, each kind says what is noted of it, what is assumed and what it moves', () => {
  const rows = mount(UsualKinds).findAll('tbody tr');
  expect(rows).toHaveLength(handKinds.length);
  for (const row of rows) {
    const [title, noted, within, moves] = row.findAll('td').map((cell) => cell.text());
    expect(title && noted && moves).toBeTruthy();
    expect(within).toMatch(/^± [1-9]\d? %$/);
  }
});
