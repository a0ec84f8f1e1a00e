import { defineComponent, type PropType, provide } from 'vue';
import { type Practice, PRACTICE } from '../../session/practice.ts';

/** Hands a training case to everything inside. Made anew for another play. */
export default defineComponent({
  name: 'PlayGate',
  props: { practice: { type: Object as PropType<Practice>, required: true } },
  setup(props, { slots }) {
    provide(PRACTICE, props.practice);
    return () => slots.default?.();
  },
});
