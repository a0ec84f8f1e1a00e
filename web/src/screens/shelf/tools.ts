import { type Component, defineAsyncComponent } from 'vue';

/** One tool of the shelf. A new one is one file and one line here. */
export interface ShelfTool {
  id: string;
  name: string;
  /** In one line: what for. */
  purpose: string;
  component: Component;
}

const tool = (id: string, name: string, purpose: string, load: () => Promise<{ default: Component }>): ShelfTool => ({
  id,
  name,
  purpose,
  component: defineAsyncComponent(load),
});

export const TOOLS: readonly ShelfTool[] = [
  tool(
    'curves',
    'Curves',
    'What a sensor should have at which temperature; table and pocket card.',
    () => import('./CurvesTool.vue'),
  ),
  tool(
    'own',
    'Own curve',
    'A table from a manual becomes a curve: pasted, typed or from a file.',
    () => import('./OwnCurveTool.vue'),
  ),
  tool(
    'identify',
    'What sensor is this?',
    'One or two pairs of temperature and ohms, and the shelf says what it probably is.',
    () => import('./IdentifyTool.vue'),
  ),
  tool(
    'sweep',
    'Module’s own curve',
    'Known resistors in, displayed values out: what the module expects.',
    () => import('./SweepTool.vue'),
  ),
  tool(
    'divider',
    'Divider desk',
    'Volts and shown value over temperature, with wires, joints and leaks.',
    () => import('./DividerTool.vue'),
  ),
  tool(
    'substitutes',
    'Substitutes',
    'Which resistors of the drawer show a wanted temperature.',
    () => import('./SubstitutesTool.vue'),
  ),
  tool(
    'baths',
    'Reference temperatures',
    'Ice, boiling water at altitude, thermometers and waiting.',
    () => import('./BathsTool.vue'),
  ),
  tool(
    'judge',
    'Judge one resistance',
    'Inside its tolerance or not, how surely, and what it does to the display.',
    () => import('./JudgeTool.vue'),
  ),
  tool(
    'codes',
    'Own codes',
    'What the codes of your boilers and machines mean: understood on every check.',
    () => import('./CodesTool.vue'),
  ),
  tool(
    'kit',
    'My kit',
    'Meter, thermometer, resistors and leads: every uncertainty uses them.',
    () => import('./KitTool.vue'),
  ),
];
