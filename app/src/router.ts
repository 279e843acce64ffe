import { createRouter, createWebHistory } from 'vue-router';
import ShelfView from './views/ShelfView.vue';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    {
      path: '/build/:id/:stage(brief|stack|bake|carve|coat|finish|support|day)',
      name: 'build',
      component: () => import('./views/BuildView.vue'),
      props: true,
    },
    { path: '/new', name: 'new', component: () => import('./views/NewCakeView.vue') },
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
      path: '/shopping',
      name: 'shopping',
      component: () => import('./views/ShoppingView.vue'),
    },
    { path: '/calendar', name: 'calendar', component: () => import('./views/CalendarView.vue') },
    { path: '/help', name: 'help', component: () => import('./views/HelpView.vue') },
    { path: '/learnt', name: 'learnt', component: () => import('./views/LearntView.vue') },
    { path: '/hand', redirect: '/learnt' },
    { path: '/pantry', name: 'pantry', component: () => import('./views/PantryView.vue') },
    { path: '/:rest(.*)*', name: 'lost', component: () => import('./views/LostView.vue') },
  ],
});
