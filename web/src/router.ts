import { createRouter, createWebHistory } from 'vue-router';
import { useSession } from './stores/session';
import { STOPS } from './stops';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/houses' },
    { path: '/sign-in', name: 'sign-in', component: () => import('./pages/SignIn.vue'), meta: { open: true } },
    { path: '/houses', name: 'houses', component: () => import('./pages/Houses.vue') },
    { path: '/bench', name: 'bench', component: () => import('./pages/bench/BenchPage.vue') },
    { path: '/houses/:id', redirect: (to) => `/houses/${String(to.params['id'])}/boxes` },
    {
      path: `/houses/:id/:stop(${STOPS.join('|')})`,
      name: 'house',
      component: () => import('./pages/HousePage.vue'),
      props: true,
    },
    { path: '/:rest(.*)*', redirect: '/houses' },
  ],
});

router.beforeEach(async (to) => {
  const session = useSession();
  await session.load();
  if (!to.meta['open'] && !session.signedIn) return { name: 'sign-in', query: { next: to.fullPath } };
  return true;
});
