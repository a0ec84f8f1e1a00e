import { defineComponent, type PropType, provide } from 'vue';
import { type JobSession, SESSION } from '../session/jobSession.ts';

/** Hands the session of the job on the bench to everything inside. Made anew for another session. */
export default defineComponent({
  name: 'ProvideSession',
  props: { session: { type: Object as PropType<JobSession>, required: true } },
  setup(props, { slots }) {
    provide(SESSION, props.session);
    return () => slots.default?.();
  },
});
