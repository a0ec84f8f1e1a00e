import { DOMWrapper, flushPromises, type VueWrapper } from '@vue/test-utils';
import { expect, vi } from 'vitest';
import { until } from './browserWindow.ts';

/** What a test finds on a mounted screen, and does there: buttons, fields, lists and tables by the words that a user reads. */
/** What a screen reader would say of a control: label by id, label around it, aria-label, title or its own text. */
export function nameOf(control: DOMWrapper<Element>): string {
  const el = control.element;
  const by = el
    .getAttribute('aria-labelledby')
    ?.split(' ')
    .map((id) => document.getElementById(id)?.textContent ?? '')
    .join(' ');
  const forId = el.id ? document.querySelector(`label[for="${el.id}"]`)?.textContent : '';
  return (
    [
      by,
      el.getAttribute('aria-label'),
      forId,
      el.closest('label')?.textContent,
      el.getAttribute('title'),
      el.tagName === 'BUTTON' ? el.textContent : '',
    ]
      .map((t) => t?.trim() ?? '')
      .find((t) => t !== '') ?? ''
  );
}

/** Holds for everything on screen: each control has a name, each choice its words, and no figure leaks that the computation did not have. */
export function expectSound(wrapper: VueWrapper): void {
  for (const list of ['PickList', 'ChoiceRow'].flatMap((name) => wrapper.findAllComponents({ name }))) {
    const { label, options = [], groups = [] } = list.props() as Partial<ReturnType<typeof listOf>> & { label: string };
    const all = [...options, ...groups.flatMap((g) => g.options)];
    expect([all.length > 0, all.filter((o) => o.value === undefined || !o.label)], label).toEqual([true, []]);
    expect(new Set(all.map((o) => o.value)).size, label).toBe(all.length);
  }
  for (const control of wrapper.findAll('input:not([type="file"]), textarea, button'))
    expect(nameOf(control), control.html()).not.toBe('');
  expect(wrapper.text()).not.toMatch(/\bNaN\b|\bundefined\b|\bInfinity\b|\[object|\bnull\b/);
}

/** The page without what moves by itself: styles of animations. */
export const pageOf = (): string => document.body.innerHTML.replace(/ (style|ant-click-animating[\w-]*)="[^"]*"/g, '');

/** Where something is looked for: a mounted screen, or the page with the sheets that lie over it. */
type Place = Pick<DOMWrapper<Element>, 'findAll'>;
export const thePage = (): DOMWrapper<Element> => new DOMWrapper<Element>(document.body);

/** The buttons that can be pressed and are not what is open or chosen already. */
export const pressable = (place: VueWrapper): DOMWrapper<Element>[] =>
  place
    .findAll('button:not([disabled])')
    .filter(
      (b) =>
        b.attributes('aria-current') === undefined &&
        ['aria-pressed', 'aria-selected'].every((is) => b.attributes(is) !== 'true'),
    );

/** The fields that can be typed into, with their labels without sign and what was read, which change with what is typed. */
export function typedFields(place: Place): { name: string; field: DOMWrapper<HTMLInputElement> }[] {
  return place
    .findAll<HTMLInputElement>('input:not([type]), input[type="text"], textarea')
    .filter((f) => f.attributes('role') !== 'combobox' && !f.element.readOnly && !f.element.disabled)
    .map((field) => ({ name: nameOf(field).replace(/^[○●◆✕]|=.*$/g, ''), field }));
}

/** The first button with these words. */
function buttonOf(place: Place, words: string): DOMWrapper<Element> {
  const button = place.findAll('button').find((b) => b.text().includes(words));
  if (!button) throw new Error(`no button “${words}”`);
  return button;
}
export const isOff = (place: Place, words: string): boolean =>
  buttonOf(place, words).attributes('disabled') !== undefined;
export async function press(place: Place, words: string): Promise<void> {
  await buttonOf(place, words).trigger('click');
  await flushPromises();
}

/** Presses the button of this name, where it shows a sign only. */
export async function pressNamed(place: Place, name: string): Promise<void> {
  const button = place.findAll('button').find((b) => nameOf(b) === name);
  if (!button) throw new Error(`no button named “${name}”`);
  await button.trigger('click');
  await flushPromises();
}
/** Types into the search field of a list. */
export async function searchFor(place: VueWrapper, words: string): Promise<void> {
  await place.get('[role="search"] input').setValue(words);
  await flushPromises();
}
/** The check box with these words. */
export function boxOf(place: Place, words: string): DOMWrapper<HTMLInputElement> {
  const label = place
    .findAll('label')
    .find((l) => l.find('input[type="checkbox"]').exists() && l.text().includes(words));
  if (!label) throw new Error(`no check box “${words}”`);
  return label.find<HTMLInputElement>('input[type="checkbox"]');
}
export async function tick(place: Place, words: string, on = true): Promise<void> {
  await boxOf(place, words).setValue(on);
  await flushPromises();
}

interface Choice {
  value: string;
  label: string;
}
function listNamed(place: VueWrapper, label: string): VueWrapper {
  const list = place.findAllComponents({ name: 'PickList' }).find((l) => l.vm.$props.label === label);
  if (!list) throw new Error(`no list “${label}”`);
  return list as VueWrapper;
}
/** What a list offers, and what is chosen: its menu has its own tests. */
export const listOf = (place: VueWrapper, label: string) =>
  listNamed(place, label).props() as {
    modelValue: string;
    options?: Choice[];
    groups?: { label: string; options: Choice[] }[];
  };
/** Picks from the list of this label, as its menu does. */
export async function pickFrom(place: VueWrapper, label: string, value: string | number): Promise<void> {
  listNamed(place, label).vm.$emit('update:modelValue', value);
  await flushPromises();
}
/** Hands files to the first file button of a screen. */
export async function bring(place: VueWrapper, ...files: [name: string, text: string][]): Promise<void> {
  place.findComponent({ name: 'FilePick' }).vm.$emit(
    'files',
    files.map(([name, text]) => new File([text], name)),
  );
  await flushPromises();
}
/** Waits until a screen shows what is looked for, with all that follows from it. */
export const untilShown = (holds: () => boolean, what: string): Promise<void> =>
  until(async () => {
    await flushPromises();
    return holds();
  }, what);
/** Text with plain spaces, whatever holds it together on the screen. */
export const plain = (text: string): string => text.replaceAll(/[\u00a0\u2060]/g, ' ');
/** The cells of a table by its name, as text with plain spaces. */
export const rowsOf = (place: Place, name: string): string[][] =>
  place
    .findAll(`[aria-label="${name}"] tbody tr:not([aria-hidden])`)
    .map((row) => row.findAll('td').map((c) => plain(c.text())));

/** Types into the field of this name, and leaves it. */
export async function type(place: Place, name: string, text: string): Promise<void> {
  const found = typedFields(place).find((f) => f.name.trim() === name);
  if (!found) throw new Error(`no field “${name}”`);
  await found.field.setValue(text);
  await found.field.trigger('blur');
  await flushPromises();
}
/** What the chart of a screen draws, by the name of each line. */
export function drawn(place: VueWrapper): Record<string, { x: number[]; y: number[] }> {
  const { data } = place.getComponent({ name: 'LazyPlot' }).vm.$props.figure as {
    data: { name: string; x: number[]; y: number[] }[];
  };
  return Object.fromEntries(data.map(({ name, x, y }) => [name, { x, y }]));
}
/** What the notices of a screen say. */
export const notices = (place: VueWrapper): string[] =>
  place.findAllComponents({ name: 'NoticeBar' }).map((n) => n.text());
/** Takes the place of the browser's own printing, until the test gives it back with `vi.unstubAllGlobals`. */
export function watchedPrint() {
  const print = vi.fn();
  vi.stubGlobal('print', print);
  return print;
}
