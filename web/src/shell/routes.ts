import { createRouter, createWebHistory } from 'vue-router'

/** Rooms in the order of work; one appears here when it exists. */
export const ROOMS = [
  { to: '/desserts', name: 'Desserts' },
  { to: '/formulas', name: 'Formulas' },
  { to: '/pantry', name: 'Pantry' },
  { to: '/molds', name: 'Molds' },
]

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/desserts' },
    {
      path: '/desserts/:id?',
      component: () => import('../desserts/DessertsRoom.vue'),
      props: true,
    },
    {
      path: '/desserts/:id/sheets',
      component: () => import('../desserts/SheetsRoom.vue'),
      props: (route) => ({ id: route.params.id, count: Number(route.query.count) || undefined }),
    },
    {
      path: '/formulas/:id?',
      component: () => import('../formulas/FormulasRoom.vue'),
      props: true,
    },
    { path: '/pantry/:id?', component: () => import('../pantry/PantryRoom.vue'), props: true },
    { path: '/molds/:id?', component: () => import('../molds/MoldsRoom.vue'), props: true },
    { path: '/:rest(.*)*', component: () => import('./NotHere.vue') },
  ],
})
