import { createRouter, createWebHistory } from 'vue-router';
import { home } from './home.ts';
import ShelfView from './views/ShelfView.vue';

export const router = createRouter({
  history: createWebHistory(home().pathname),
  routes: [
    { path: '/', name: 'shelf', meta: { title: 'Shelf' }, component: ShelfView },
    {
      path: '/build/:id/:stage(brief|stack|bake|carve|coat|finish|support|day)',
      name: 'build',
      component: () => import('./views/BuildView.vue'),
      props: true,
    },
    {
      path: '/new',
      name: 'new',
      meta: { title: 'New cake' },
      component: () => import('./views/NewCakeView.vue'),
    },
    { path: '/build/:id', redirect: (to) => `/build/${String(to.params.id)}/stack` },
    {
      path: '/build/:id/bench',
      name: 'bench',
      component: () => import('./views/BenchView.vue'),
      props: true,
    },
    {
      path: '/build/:id/print',
      name: 'print',
      component: () => import('./views/PrintView.vue'),
      props: true,
    },
    {
      path: '/build/:id/offer',
      name: 'offer',
      component: () => import('./views/OfferView.vue'),
      props: true,
    },
    {
      path: '/shopping',
      name: 'shopping',
      meta: { title: 'Shopping' },
      component: () => import('./views/ShoppingView.vue'),
    },
    {
      path: '/calendar',
      name: 'calendar',
      meta: { title: 'Calendar' },
      component: () => import('./views/CalendarView.vue'),
    },
    {
      path: '/help',
      name: 'help',
      meta: { title: 'Help' },
      component: () => import('./views/HelpView.vue'),
    },
    {
      path: '/backup',
      name: 'backup',
      meta: { title: 'Backup' },
      component: () => import('./views/BackupView.vue'),
    },
    {
      path: '/learnt',
      name: 'learnt',
      meta: { title: 'Learnt' },
      component: () => import('./views/LearntView.vue'),
    },
    { path: '/hand', redirect: '/learnt' },
    {
      path: '/pantry',
      name: 'pantry',
      meta: { title: 'Pantry' },
      component: () => import('./views/PantryView.vue'),
    },
    {
      path: '/:rest(.*)*',
      name: 'lost',
      meta: { title: 'Nothing here' },
      component: () => import('./views/LostView.vue'),
    },
  ],
});

/** A page says in its title where one is; an open cake says its own name. */
router.afterEach(({ meta }) => {
  if (typeof meta.title === 'string') document.title = `${meta.title}, Pyrgotect`;
});
