import { shallowRef } from 'vue';
import { createRouter, createWebHistory, type Router } from 'vue-router';
import { screenTitle, titled } from '../browser/titles.ts';
import { LATER_PARTS, OTHER_ADDRESSES, SCREENS } from './screens.ts';
import { goOffline } from '../browser/offline.ts';
import { rested } from '../browser/rested.ts';
import { workshopBase } from '../browser/workshop.ts';

/** Parts of the page that could not be fetched: the server is gone, or it has a newer version whose parts have other names. */
export const missingPart = shallowRef<Error | null>(null);

/** Is this what a browser says of a part it could not fetch? */
export const isMissingPart = (error: Error): boolean =>
  /dynamically imported module|importing a module script|preload/i.test(error.message);

export function createAppRouter(): Router {
  const router = createRouter({
    history: createWebHistory(workshopBase),
    // Another screen, and another step of a guided check, begin at their top; back and forward are where they were.
    scrollBehavior: (to, from, saved) =>
      saved ?? (to.path !== from.path || to.query.step !== from.query.step ? { top: 0 } : false),
    routes: [
      ...SCREENS.map(({ path, name, component }) => ({ path, name, component })),
      ...OTHER_ADDRESSES.map(({ path, redirect }) => ({
        path,
        redirect: (to: { params: Record<string, string | string[]> }) =>
          redirect([to.params.rest ?? []].flat().join('/')),
      })),
      { path: '/:rest(.*)*', name: 'missing', component: () => import('../screens/notFound/NotFoundScreen.vue') },
    ],
  });
  // Nothing else goes wrong on the way to a screen: what it shows, it loads itself.
  router.onError((error) => (missingPart.value = error instanceof Error ? error : new Error(String(error))));
  router.afterEach((to, _from, failure) => {
    if (failure) return;
    missingPart.value = null;
    titled(screenTitle(to.name));
  });
  return router;
}

/**
 * Has the other screens and what they need at hand once the page rests, so that a server that goes away meanwhile is not missed. A service worker
 * keeps them unread; without one each is fetched by reading it, which costs a phone some seconds of its processor.
 */
export async function fetchAhead(): Promise<void> {
  await rested();
  if (await goOffline()) return;
  for (const part of [...SCREENS.map((s) => s.component), ...LATER_PARTS]) {
    try {
      await part();
    } catch {
      // What is missing is asked for again when it is needed, and said then.
      return;
    }
    await rested();
  }
}
