// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test } from 'vitest';
import FigureField from './FigureField.vue';
import IntervalStrip from './IntervalStrip.vue';
import { plainLabel } from './plainLabel.ts';
import ProbabilityBar from './ProbabilityBar.vue';

beforeEach(() => setActivePinia(createPinia()));

describe('a figure field', () => {
  const field = (props: object) =>
    mount(FigureField, { props: { label: 'Sensor resistance', text: '', quantity: 'ohms', ...props } });
  test('label and input belong together; what is typed goes out as it is', async () => {
    const wrapper = field({});
    const input = wrapper.get('input');
    expect(wrapper.get('label').attributes('for')).toBe(input.attributes('id'));
    await input.setValue('4k7');
    expect(wrapper.emitted('type')).toEqual([['4k7']]);
  });
  test('an ambiguous figure is asked: both readings as buttons, an alert, nothing chosen', async () => {
    const wrapper = field({
      text: '11,883',
      issue: {
        ok: false,
        reason: 'ambiguous',
        choices: [
          { text: '11.883', value: 11.883 },
          { text: '11883', value: 11883 },
        ],
      },
    });
    expect(wrapper.get('[role="alert"]').text()).toContain('Two ways to read this');
    expect(wrapper.get('input').attributes('aria-invalid')).toBe('true');
    await wrapper.findAll('.choices button')[1].trigger('click');
    expect(wrapper.emitted('choose')).toEqual([['11883']]);
  });
  test('a missed k is asked about beside the healthy range', () => {
    const wrapper = field({
      text: '2',
      healthy: '2.20 … 2.40 kΩ',
      meant: '2.00 kΩ',
      standing: 'off',
      standingText: 'Low',
    });
    expect(wrapper.text()).toContain('healthy 2.20 … 2.40 kΩ');
    expect(wrapper.get('.choices button').text()).toBe('Meant 2.00 kΩ?');
  });
  test('an empty field is no fault; the sign tells the standing by shape', () => {
    expect(
      field({ issue: { ok: false, reason: 'empty' }, standing: 'none' })
        .find('[role="alert"]')
        .exists(),
    ).toBe(false);
    expect(field({ text: '3k', standing: 'fits' }).get('.sign').text()).toBe('●');
    expect(field({ text: '3k', standing: 'off' }).get('.sign').text()).toBe('◆');
  });
  test('Enter on the large field goes on; a corrected figure tells what stood there before', async () => {
    const wrapper = field({ large: true, text: '4.4', quantity: 'volts' });
    await wrapper.get('input').trigger('focus');
    await wrapper.setProps({ text: '4.41' });
    await wrapper.get('input').trigger('keydown', { key: 'Enter' });
    expect(wrapper.emitted('settle')![0]).toEqual(['4.4']);
    expect(wrapper.emitted('enter')).toHaveLength(1);
  });
});

describe('evidence as a picture', () => {
  const strip = (interval: { low: number; high: number }, value: number) =>
    mount(IntervalStrip, {
      props: {
        interval,
        value,
        all: [interval, { low: 2, high: 3 }],
        quantity: 'volts',
        words: `${interval.low} … ${interval.high} V`,
      },
    });
  test('a value inside fits, outside does not, said in words as well', () => {
    expect(strip({ low: 4, high: 4.5 }, 4.4).get('[role="img"]').attributes('aria-label')).toContain('fits');
    const off = strip({ low: 4, high: 4.5 }, 2.5);
    expect(off.get('[role="img"]').attributes('aria-label')).toContain('does not fit');
    expect(off.text()).toContain('✕');
  });
  test('OL stands at the right end and breaks nothing', () => {
    const wrapper = mount(IntervalStrip, {
      props: {
        interval: { low: Infinity, high: Infinity },
        value: Infinity,
        all: [
          { low: Infinity, high: Infinity },
          { low: 3000, high: 4000 },
        ],
        quantity: 'ohms',
        words: 'OL',
      },
    });
    expect(wrapper.get('.tick').attributes('style')).toContain('96%');
    expect(wrapper.html()).not.toContain('NaN');
  });
});

test('a probability is never 0 or 100 per cent, and leads by more than colour', () => {
  const bar = mount(ProbabilityBar, { props: { label: 'Wiring', probability: 0.9999, leading: true } });
  expect(bar.text()).toContain('>99 %');
  expect(bar.classes()).toContain('leading');
});

test('chart labels are text, never markup', () => {
  expect(plainLabel('<a href="x">&</a>')).toBe('&lt;a href="x"&gt;&amp;&lt;/a&gt;');
});
