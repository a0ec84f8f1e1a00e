import type { Component } from 'vue';
import { BENCH_PARTS } from '../screens/bench/laterParts.ts';

/** Every screen. A new one is a folder in `screens/` and one entry here. */
export interface Screen {
  name: string;
  path: string;
  component: () => Promise<Component>;
}

export const SCREENS: readonly Screen[] = [
  { name: 'jobs', path: '/', component: () => import('../screens/jobs/JobsScreen.vue') },
  { name: 'report', path: '/check/:id/report', component: () => import('../screens/report/ReportScreen.vue') },
  { name: 'live-check', path: '/check/:id/live', component: () => import('../screens/live/LiveScreen.vue') },
  { name: 'live', path: '/live', component: () => import('../screens/live/LiveScreen.vue') },
  { name: 'logs', path: '/logs/:rec?', component: () => import('../screens/logs/LogsScreen.vue') },
  { name: 'play', path: '/train/play/:id', component: () => import('../screens/train/PlayScreen.vue') },
  { name: 'step', path: '/train/course/:step', component: () => import('../screens/train/StepScreen.vue') },
  { name: 'train', path: '/train/:part?', component: () => import('../screens/train/TrainScreen.vue') },
  {
    name: 'place-label',
    path: '/logbook/place/:code/label',
    component: () => import('../screens/logbook/PlaceLabel.vue'),
  },
  { name: 'place', path: '/logbook/place/:code', component: () => import('../screens/logbook/PlaceScreen.vue') },
  { name: 'logbook', path: '/logbook/:part?', component: () => import('../screens/logbook/LogbookScreen.vue') },
  { name: 'take', path: '/take', component: () => import('../screens/take/TakeScreen.vue') },
  { name: 'safe', path: '/safe', component: () => import('../screens/settings/SettingsScreen.vue') },
  { name: 'settings', path: '/settings/:part?', component: () => import('../screens/settings/SettingsScreen.vue') },
  { name: 'card', path: '/shelf/card', component: () => import('../screens/tools/CardScreen.vue') },
  { name: 'shelf', path: '/shelf/:tool?', component: () => import('../screens/tools/ToolsScreen.vue') },
  { name: 'guide', path: '/check/:id/guide', component: () => import('../screens/guide/GuideScreen.vue') },
  { name: 'bench', path: '/check/:id', component: () => import('../screens/bench/BenchScreen.vue') },
];

/** Other names of addresses; those that are printed or stored stay. */
export const OTHER_ADDRESSES: readonly { path: string; redirect: (rest: string) => string }[] = [
  { path: '/tools/:rest(.*)*', redirect: (rest) => `/shelf/${rest}` },
  { path: '/machines', redirect: () => '/logbook' },
  { path: '/backup', redirect: () => '/safe' },
  { path: '/shelf/kit', redirect: () => '/settings/instruments' },
  { path: '/receive', redirect: () => '/take' },
];

/** What screens load when they need it. */
export const LATER_PARTS: readonly (() => Promise<unknown>)[] = [
  () => import('../data/stores/jobs/wholeJobActions.ts'),
  () => import('../session/kit.ts'),
  ...BENCH_PARTS.map((part) => part.fetch),
  () => import('@mellow-probe/core/check/job/readingsCsv'),
  () => import('../screens/jobs/exportJobs.ts'),
  () => import('../components/PlotFigure.vue'),
  () => import('../components/ShortcutList.vue'),
  () => import('../components/base/DayField.vue'),
  () => import('../screens/report/reportPdf.ts'),
  () => import('../screens/logs/LogChart.vue'),
  () => import('../screens/logbook/calendar.ts'),
  () => import('../components/ScanSheet.vue'),
  () => import('../components/ShareSheet.vue'),
  () => import('../data/backup/writeBackup.ts'),
  () => import('../data/backup/readBackup.ts'),
  () => import('../data/backup/sealed.ts'),
];
