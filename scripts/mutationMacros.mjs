// A plugin of the mutation runs. The compiler of Vue reads `defineProps` and its like while it compiles: changed code inside them does not
// compile, and every test file that needs the component would be missing from the run without a word.
const MACROS = ['defineProps', 'withDefaults', 'defineModel', 'defineEmits', 'defineSlots', 'defineOptions'];

export const strykerPlugins = [
  {
    kind: 'Ignore',
    name: 'vue-macros',
    value: {
      /** The reason to leave a call of a compiler macro as it is; undefined for any other piece of code. */
      shouldIgnore: (path) =>
        path.isCallExpression() && MACROS.includes(path.node.callee.name) ? 'read by the compiler' : undefined,
    },
  },
];
