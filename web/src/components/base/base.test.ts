// @vitest-environment happy-dom
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test, vi } from 'vitest';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import ActButton from './ActButton.vue';
import CheckBox from './CheckBox.vue';
import ChoiceRow from './ChoiceRow.vue';
import DayField from './DayField.vue';
import FactTable from './FactTable.vue';
import FilePick from './FilePick.vue';
import MenuButton from './MenuButton.vue';
import PickList from './PickList.vue';
import TextField from './TextField.vue';
import { cssVariables, FOLDS, libraryTheme, palette } from './tokens.ts';

const SOURCE = path.resolve(import.meta.dirname, '../..');
function sources(ending: RegExp): { name: string; text: string }[] {
  return readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
    .filter((name) => ending.test(name))
    .map((name) => ({ name, text: readFileSync(path.join(SOURCE, name), 'utf8') }));
}
/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4)));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p);
  return (x + 0.05) / (y + 0.05);
}

describe('one dress for the whole interface', () => {
  const own = sources(/\.vue$/).filter(({ name }) => !name.includes(`base${path.sep}`));

  test('no native control outside the base but the figure field', () => {
    const found = own.flatMap(({ name, text }) =>
      [...text.matchAll(/<(button|select|input|table|textarea|details|progress)\b/g)].map((m) => `${name} ${m[1]}`),
    );
    expect(found).toEqual([path.join('components', 'FigureField.vue input')]);
  });

  test('the library is dressed in the base and nowhere else', () => {
    const others = sources(/\.(vue|ts)$/).filter(
      ({ name, text }) =>
        !name.includes(`base${path.sep}`) && !/\.test\.ts$/.test(name) && text.includes("from 'ant-design-vue"),
    );
    expect(others.map((o) => o.name)).toEqual([path.join('app', 'App.vue')]);
  });

  test('no colour is named outside the tokens, no rule is forced, every fold is one of the list', () => {
    const folds = new Set<number>(Object.values(FOLDS).flatMap((w) => [w, w + 1]));
    // The same folds decide in scripts what a style sheet cannot.
    const media = readFileSync(path.join(SOURCE, 'browser/useMedia.ts'), 'utf8');
    const widths = [...media.matchAll(/max-width: ([\d.]+)em/g)].map(([, em]) => 16 * Number(em));
    expect(widths.length).toBeGreaterThan(2);
    for (const width of widths) expect(folds.has(width), `${width}px`).toBe(true);
    for (const { name, text } of sources(/\.(vue|css)$/)) {
      const styles = name.endsWith('.css') ? text : text.slice(text.search(/<style/) >>> 0);
      expect(styles.match(/!important/g), name).toBeNull();
      for (const [, em] of styles.matchAll(/@media[^{]*?(?:min|max)-width:\s*([\d.]+)em/g))
        expect(folds.has(16 * Number(em)), `${name}: ${em}em`).toBe(true);
      // Letters and folds follow the size of letters that the reader has set in the browser.
      expect(styles.match(/font(?:-size)?: (?:\d{3} )?[\d.]+px|@media[^{]*\dpx/g), name).toBeNull();
      const colours = [...styles.matchAll(/#[0-9a-f]{3,8}\b/gi)].map(([c]) => c).filter((c) => c !== '#fff');
      expect(colours, name).toEqual([]);
    }
  });

  test.each([false, true])('text stands out from every ground it is put on (dark: %s)', (dark) => {
    const p = palette(dark);
    for (const ground of [p.paper, p.sheet, p.field])
      for (const ink of ['ink', 'soft', 'spruce', 'amber-ink', 'clay', 'moss-ink'] as const)
        expect(contrast(p[ink], ground), `${ink} on ${ground}`).toBeGreaterThanOrEqual(4.5);
    expect(contrast(p['on-spruce'], p.spruce)).toBeGreaterThanOrEqual(4.5);
    for (const [ink, ground] of [
      ['ink', 'spruce-soft'],
      ['ink', 'amber-soft'],
      ['ink', 'clay-soft'],
      ['ink', 'moss-soft'],
      ['clay', 'clay-soft'],
      // What takes something away stands among the acts for the chosen checks.
      ['clay', 'spruce-soft'],
      ['amber-ink', 'amber-soft'],
    ] as const)
      expect(contrast(p[ink], p[ground]), `${ink} on ${ground}`).toBeGreaterThanOrEqual(4.5);
    // A field's frame is what shows that it is one: 3 : 1.
    expect(contrast(p['line-strong'], p.field)).toBeGreaterThanOrEqual(3);
  });

  test('variables and theme say the same; thumbs get larger controls, and nothing moves where it should not', () => {
    for (const [name, colour] of Object.entries(palette(true))) expect(cssVariables()).toContain(`--${name}:${colour}`);
    expect(libraryTheme(false, false, false).token?.colorPrimary).toBe(palette(false).spruce);
    expect(libraryTheme(false, true, false).token?.controlHeight).toBe(48);
    expect(libraryTheme(false, false, false).token?.controlHeight).toBe(44);
    expect(libraryTheme(false, false, true).token?.motionDurationMid).toBe('0s');
    expect(libraryTheme(false, false, false).token?.motionDurationMid).toBe('0.12s');
  });
});

interface Fact {
  id: number;
  name: string;
}

describe('what is pressed, typed and picked', () => {
  test('a button acts, submits only where it says so, and is a true link where it leads somewhere', async () => {
    const plain = mount(ActButton, { slots: { default: 'Go' } });
    await plain.trigger('click');
    expect(plain.emitted('click')).toHaveLength(1);
    expect(plain.attributes('type')).toBe('button');
    expect(mount(ActButton, { props: { submit: true } }).attributes('type')).toBe('submit');
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:rest(.*)*', component: { template: '<i/>' } }],
    });
    const link = mount(ActButton, { props: { to: '/shelf' }, global: { plugins: [router] } });
    expect(link.find('a').attributes('href')).toBe('/shelf');
    await link.trigger('click');
    await flushPromises();
    expect(router.currentRoute.value.path).toBe('/shelf');
  });

  test('a text field tells every key, names itself, and marks what is not part of the record yet', async () => {
    const field = mount(TextField, { props: { modelValue: '', label: 'Part', unsent: true, mono: true } });
    const input = field.get('input');
    expect(field.get('label').attributes('for')).toBe(input.attributes('id'));
    expect(input.attributes()).toMatchObject({ 'data-unsent': '', spellcheck: 'false', autocomplete: 'off' });
    await input.setValue('seal');
    expect(field.emitted('update:modelValue')).toEqual([['seal']]);
    const lazy = mount(TextField, { props: { modelValue: '1', label: 'Factor', lazy: true } });
    await lazy.get('input').setValue('2');
    expect(lazy.emitted('update:modelValue')).toBeUndefined();
    expect(lazy.get('input').element.value).toBe('2');
    await lazy.get('input').trigger('blur');
    await lazy.get('input').setValue('3');
    await lazy.get('input').trigger('keydown', { key: 'Enter', keyCode: 13 });
    expect(lazy.emitted('update:modelValue')).toEqual([['2'], ['3']]);
    expect(lazy.emitted('enter')).toHaveLength(1);
    const area = mount(TextField, { props: { modelValue: '', label: 'Cause', rows: 3, maxlength: 20 } });
    expect(area.get('textarea').attributes('rows')).toBe('3');
    await area.get('textarea').setValue('m'.repeat(30));
    expect(area.emitted('update:modelValue')).toEqual([['m'.repeat(20)]]);
    expect(area.get('textarea').attributes('data-unsent')).toBeUndefined();
  });

  test('check and choice tell what they were set to', async () => {
    const check = mount(CheckBox, { props: { modelValue: false }, slots: { default: 'due' } });
    await check.get('input').setValue(true);
    expect(check.emitted('update:modelValue')).toEqual([[true]]);
    const options = [
      { value: 'a', label: 'A' },
      { value: 'b', label: 'B' },
    ];
    const choice = mount(ChoiceRow, { props: { modelValue: 'a', label: 'Which', options } });
    await choice.findAll('input')[1].setValue(true);
    expect(choice.emitted('update:modelValue')).toEqual([['b']]);
    expect(choice.findAll('[aria-label="Which"]')).toHaveLength(1);
  });

  test('a list is told by its label, found by any of its words, and says whether it is open', async () => {
    const options = Array.from({ length: 12 }, (_, i) => ({
      value: i,
      label: `curve ${i}`,
      about: `${i} kΩ at 25 °C`,
    }));
    const list = mount(PickList, { props: { label: 'Curve', options, modelValue: 3 }, attachTo: document.body });
    await flushPromises();
    const input = list.get('input');
    expect(list.get('label').attributes('for')).toBe(input.attributes('id'));
    expect(input.attributes('aria-expanded')).toBe('false');
    expect(input.attributes('aria-controls')).toBeUndefined();
    expect(input.attributes('aria-owns')).toBeUndefined();
    expect(list.get('.ant-select-selection-item').text()).toContain('curve 3');
    await list.get('.ant-select-selector').trigger('mousedown');
    await new Promise((r) => setTimeout(r, 60));
    expect(input.attributes('aria-expanded')).toBe('true');
    const controls = input.attributes('aria-controls')!;
    expect(document.getElementById(controls)?.getAttribute('aria-label')).toBe('Curve');
    const lines = [...document.querySelectorAll('.ant-select-item-option')];
    expect(lines).toHaveLength(12);
    expect(lines.every((l) => l.getAttribute('role') === 'option')).toBe(true);
    await input.setValue('7 25');
    const found = [...document.querySelectorAll<HTMLElement>('.ant-select-item-option')];
    expect(found.map((l) => l.textContent)).toEqual(['curve 77 kΩ at 25 °C']);
    found[0].click();
    await flushPromises();
    expect(list.emitted('update:modelValue')).toEqual([[7]]);
    list.unmount();
  });

  test('a day outside the calendar is not taken', async () => {
    const day = mount(DayField, {
      props: { modelValue: '2026-02-03', label: 'Due on', first: '2026-01-01', last: '2026-12-31' },
    });
    const picker = day.findComponent({ name: 'ADatePicker' }) as unknown as VueWrapper;
    for (const text of ['2025-12-31', '2027-01-01', '']) picker.vm.$emit('change', text);
    expect(day.emitted('update:modelValue')).toBeUndefined();
    picker.vm.$emit('change', '2026-12-31');
    expect(day.emitted('update:modelValue')).toEqual([['2026-12-31']]);
    await flushPromises();
  });

  test('files that were picked together are handed on together, and sent nowhere', async () => {
    const pick = mount(FilePick, { props: { label: 'Import…', accept: '.json', multiple: true } });
    const field = pick.get<HTMLInputElement>('input[type="file"]');
    const files = [new File(['1'], 'a.json'), new File(['2'], 'b.json')];
    Object.defineProperty(field.element, 'files', { value: files });
    await field.trigger('change');
    await vi.waitFor(() => expect(pick.emitted('files')).toHaveLength(1));
    expect((pick.emitted('files')![0][0] as File[]).map((f) => f.name)).toEqual(['a.json', 'b.json']);
    expect(field.attributes()).toMatchObject({ accept: '.json', multiple: '' });
  });

  test('a table shows text or a slot, in pages, with its rows marked', async () => {
    const rows = Array.from({ length: 5 }, (_, i) => ({ id: i, name: `row ${4 - i}` }));
    const table = mount(FactTable as unknown as Component, {
      props: {
        label: 'Facts',
        rows,
        columns: [
          {
            key: 'name',
            title: 'Name',
            text: (r: Fact) => r.name,
            order: (a: Fact, b: Fact) => a.name.localeCompare(b.name),
          },
          { key: 'act', title: 'Act', quietTitle: true },
        ],
        rowKey: (r: Fact) => r.id,
        page: 3,
        rowAttributes: () => ({ 'data-test': 'fact' }),
      },
      slots: { act: ({ row }: { row: { id: number } }) => `do ${row.id}` },
    });
    const lines = () => table.findAll('[data-test="fact"]').map((r) => r.text().replace(/\s+/g, ' '));
    expect(lines()).toEqual(['row 4do 0', 'row 3do 1', 'row 2do 2']);
    const page = () => table.get('.ant-pagination-item-active').text();
    await table.get('.ant-pagination-item-2').trigger('click');
    expect([page(), lines()]).toEqual(['2', ['row 1do 3', 'row 0do 4']]);
    await table.get('th').trigger('click');
    expect([page(), lines()]).toEqual(['1', ['row 0do 4', 'row 1do 3', 'row 2do 2']]);
    await table.get('.ant-pagination-item-2').trigger('click');
    expect(lines()).toEqual(['row 3do 1', 'row 4do 0']);
    await table.get('th').trigger('click');
    expect([page(), lines()[0], table.get('th').attributes('aria-sort')]).toEqual(['1', 'row 4do 0', 'descending']);
    await table.get('th').trigger('click');
    expect(lines()).toEqual(['row 4do 0', 'row 3do 1', 'row 2do 2']);
    await table.get('.ant-pagination-item-2').trigger('click');
    await table.setProps({ rows: rows.slice(0, 1) });
    expect(lines()).toEqual(['row 4do 0']);
    await table.setProps({ rows: [] });
    expect(lines()).toEqual([]);
    expect(table.findAll('th')[1].get('.visually-hidden').text()).toBe('Act');
  });

  test('a menu does what was picked', async () => {
    const acts: string[] = [];
    const menu = mount(MenuButton, {
      props: {
        label: 'More',
        name: 'More for this',
        entries: ['copy', 'delete'].map((name) => ({ name, act: () => acts.push(name) })),
      },
      attachTo: document.body,
    });
    const button = menu.get('button');
    (button.element as HTMLElement).focus();
    await button.trigger('click');
    await new Promise((r) => setTimeout(r, 200));
    expect(document.activeElement).toBe(menu.get('button').element);
    const items = [...document.querySelectorAll<HTMLElement>('[role="menuitem"]')];
    expect(items.map((i) => i.textContent)).toEqual(['copy', 'delete']);
    items[1].click();
    await flushPromises();
    expect(acts).toEqual(['delete']);
    await new Promise((r) => setTimeout(r, 200));
    const open = () => menu.get('button').classes('ant-dropdown-open');
    expect(open()).toBe(false);
    await menu.get('button').trigger('click');
    await new Promise((r) => setTimeout(r, 200));
    expect(open()).toBe(true);
    menu.unmount();
  });
});
