import { createRouter, createWebHistory, type Router } from 'vue-router';
import { SCREENS } from './screens.ts';
import { workshopBase } from './workshop.ts';

export function createAppRouter(): Router {
  return createRouter({
    history: createWebHistory(workshopBase),
    routes: [
      ...SCREENS.map(({ path, name, component }) => ({ path, name, component })),
      { path: '/:rest(.*)*', redirect: '/' },
    ],
  });
}
