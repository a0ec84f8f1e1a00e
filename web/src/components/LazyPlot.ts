import { defineAsyncComponent } from 'vue';

/** The chart component; the chart library comes with its first use. */
export default defineAsyncComponent(() => import('./PlotFigure.vue'));
