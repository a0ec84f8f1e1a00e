import { type Component, defineComponent, h, ref, shallowRef } from 'vue';
import { apart } from '../browser/turns.ts';

/** A part of a screen that is not needed to begin with. */
export type LaterPart<C extends Component = Component> = C & {
  /** Brings it ahead: it then comes up at once. Rejects where it cannot be fetched. */
  fetch: () => Promise<void>;
};
type Load<C> = () => Promise<{ default: C }>;

/** A part that is fetched when it is first shown, or ahead. Where it cannot be fetched, the screen around it gets the error; the next showing tries again. */
export const laterPart = <C extends Component>(load: Load<C>): LaterPart<C> => later(load, () => true);

/** A sheet that is fetched when it is first opened, and stays from then on, so that it can close in its own way. */
export const laterSheet = <C extends Component>(load: Load<C>): LaterPart<C> =>
  later(load, ({ open }) => open === true);

function later<C extends Component>(load: Load<C>, isShown: (attrs: Record<string, unknown>) => boolean): LaterPart<C> {
  const here = shallowRef<C>();
  let fetching: Promise<void> | null = null;
  const fetch = (): Promise<void> =>
    (fetching ??= apart(load).then(
      (part) => void (here.value = part.default),
      (error: unknown) => {
        fetching = null;
        throw error;
      },
    ));
  const part = defineComponent({
    inheritAttrs: false,
    setup(_, { attrs, slots }) {
      const failure = ref<unknown>();
      let shown = false;
      function show(): void {
        shown = true;
        if (!here.value) fetch().catch((error: unknown) => (failure.value = error));
      }
      return () => {
        if (!shown && isShown(attrs)) show();
        if (failure.value !== undefined) throw failure.value;
        return shown && here.value ? h(here.value, attrs, slots) : null;
      };
    },
  });
  return Object.assign(part, { fetch }) as unknown as LaterPart<C>;
}
