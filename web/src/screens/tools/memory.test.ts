// @vitest-environment happy-dom
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { expect, test } from 'vitest';
import { h } from 'vue';
import { z } from 'zod';
import { until } from '../../../test/browserWindow.ts';
import { expectSound, show, typedFields, unmountAll, untilShown } from '../../../test/mountedScreens.ts';
import { shelfDoor } from '../../data/storage/shelfStorage.ts';
import { TOOLS } from './tools.ts';

/** Fields, lists and boxes of a tool, with what each shows. */
function entered(tool: VueWrapper): [string, unknown][] {
  return [
    ...typedFields(tool).map(({ name, field }): [string, unknown] => [name.trim(), field.element.value]),
    ...['PickList', 'ChoiceRow']
      .flatMap((name) => tool.findAllComponents({ name }))
      .map((list): [string, unknown] => {
        const { label, modelValue } = list.props() as { label: string; modelValue: unknown };
        return [label, modelValue];
      }),
    ...tool
      .findAll<HTMLInputElement>('input[type="checkbox"]')
      .map((box): [string, unknown] => ['box', box.element.checked]),
  ];
}
async function shown({ component }: (typeof TOOLS)[number]): Promise<VueWrapper> {
  const tool = await show({ render: () => h('main', [h(component)]) });
  await untilShown(() => entered(tool).length > 0, 'the tool');
  return tool;
}
const stored = (id: string): Promise<unknown> =>
  shelfDoor(`draft.${id}`, z.unknown())
    .read()
    .then((read) => read?.value);

test.each(TOOLS.map((tool) => [tool.id, tool] as const))(
  '%s: what was typed and set is there again; a draft of another shape is left out',
  async (id, tool) => {
    const first = await shown(tool);
    const fresh = entered(first);
    for (let i = 0; i < typedFields(first).length; i++) {
      const { field } = typedFields(first)[i];
      await field.setValue(String(17 + i));
      await field.trigger('blur');
    }
    for (const box of first.findAll('input[type="checkbox"]')) await box.setValue(true);
    await flushPromises();
    const left = entered(first);
    expect(left).not.toEqual(fresh);
    expectSound(first);
    await until(async () => (await stored(id)) !== undefined, 'the draft in the store');
    unmountAll();
    const again = await shown(tool);
    await untilShown(() => JSON.stringify(entered(again)) === JSON.stringify(left), `${id} as it was left`);
    unmountAll();
    const door = shelfDoor(`draft.${id}`, z.unknown());
    await door.write({ written: 'by another version' }, await door.read());
    const anew = await shown(tool);
    expect(entered(anew)).toEqual(fresh);
    expectSound(anew);
  },
);
