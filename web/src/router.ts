import { createRouter, createWebHistory } from 'vue-router';
import { namePage } from './page-title';
import { useSession } from './stores/session';
import { STOPS } from './stops';

declare module 'vue-router' {
  interface RouteMeta {
    /** Nobody need be signed in. */
    open?: boolean;
    /** What the page is called. */
    title?: string;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/houses' },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('./pages/SignIn.vue'),
      meta: { open: true, title: 'Sign in' },
    },
    {
      path: '/forgot',
      component: () => import('./pages/LinkPage.vue'),
      props: { kind: 'forgot' },
      meta: { open: true },
    },
    {
      path: '/:kind(verify|reset|join)/:token',
      component: () => import('./pages/LinkPage.vue'),
      props: true,
      meta: { open: true },
    },
    { path: '/guest', component: () => import('./pages/guest/GuestPage.vue'), meta: { open: true } },
    {
      path: '/account',
      name: 'account',
      component: () => import('./pages/account/AccountPage.vue'),
      meta: { title: 'Account' },
    },
    {
      path: '/houses',
      name: 'houses',
      component: () => import('./pages/jobs/JobsPage.vue'),
      meta: { title: 'Houses' },
    },
    {
      path: '/bench',
      name: 'bench',
      component: () => import('./pages/bench/BenchPage.vue'),
      meta: { title: 'The bench' },
    },
    { path: '/houses/:id', redirect: (to) => `/houses/${String(to.params['id'])}/boxes` },
    {
      path: `/houses/:id/:stop(${STOPS.join('|')})`,
      name: 'house',
      component: () => import('./pages/HousePage.vue'),
      props: true,
    },
    {
      path: '/houses/:id/bench/:group',
      name: 'house-bench',
      component: () => import('./pages/bench/HouseBenchPage.vue'),
      props: true,
    },
    { path: '/houses/:id/plan', name: 'plan', component: () => import('./pages/PlanPage.vue'), props: true },
    { path: '/:rest(.*)*', redirect: '/houses' },
  ],
});

router.beforeEach(async (to) => {
  const session = useSession();
  await session.load();
  if (!to.meta['open'] && !session.signedIn) return { name: 'sign-in', query: { next: to.fullPath } };
  if (session.signedIn?.mustDo && to.name !== 'account' && !to.meta['open']) return { name: 'account' };
  return true;
});

// Pages that are named after what is open in them name themselves.
router.afterEach((to) => namePage(to.meta.title));
