import { createRouter, createWebHistory } from 'vue-router'

/** Each screen belongs to a posture: at the desk (desk/, lesson/) or on the feet (feet/). */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'home', component: () => import('./desk/Home.vue'), meta: { title: 'Lessons' } },
    { path: '/sign-in', name: 'sign-in', component: () => import('./desk/SignIn.vue'), meta: { title: 'Sign in', open: true } },
    { path: '/shelf', name: 'shelf', component: () => import('./desk/Shelf.vue'), meta: { title: 'Shelf' } },
    { path: '/shelf/:slug', name: 'model', component: () => import('./desk/Model.vue'), props: true, meta: { title: 'Model' } },
    { path: '/patterns', name: 'patterns', component: () => import('./desk/Pattern.vue'), meta: { title: 'Crease pattern' } },
    { path: '/cupboard', name: 'cupboard', component: () => import('./desk/Cupboard.vue'), meta: { title: 'Cupboard' } },
    { path: '/cupboard/models', name: 'paper-table', component: () => import('./desk/PaperTable.vue'), meta: { title: 'What folds from what' } },
    { path: '/cupboard/bench', name: 'bench', component: () => import('./desk/Bench.vue'), meta: { title: 'Cut squares' } },
    { path: '/cupboard/ahead', name: 'ahead', component: () => import('./desk/Ahead.vue'), meta: { title: 'Paper ahead' } },
    { path: '/groups', name: 'groups', component: () => import('./desk/Groups.vue'), meta: { title: 'Groups' } },
    { path: '/groups/:id(\\d+)', name: 'wall', component: () => import('./desk/Wall.vue'), props: (to) => ({ id: Number(to.params['id']) }), meta: { title: 'Wall chart' } },
    { path: '/lessons/new', name: 'new-lesson', component: () => import('./lesson/Choose.vue'), meta: { title: 'New lesson' } },
    {
      path: '/lessons/:id(\\d+)', component: () => import('./lesson/Lesson.vue'), props: (to) => ({ id: Number(to.params['id']) }), meta: { title: 'Lesson' },
      children: [
        { path: '', redirect: { name: 'plan' } },
        { path: 'choose', name: 'choose', component: () => import('./lesson/Choose.vue') },
        { path: 'paper', name: 'paper', component: () => import('./lesson/Paper.vue') },
        { path: 'plan', name: 'plan', component: () => import('./lesson/Plan.vue') },
        { path: 'keep', name: 'keep', component: () => import('./lesson/Keep.vue') },
        { path: 'kits', name: 'kits', component: () => import('./lesson/Kits.vue') },
        { path: 'worksheet', name: 'worksheet', component: () => import('./lesson/Worksheet.vue') },
      ],
    },
    { path: '/lessons/:id(\\d+)/teach', name: 'teach', component: () => import('./feet/Stage.vue'), props: (to) => ({ id: Number(to.params['id']) }), meta: { title: 'Teach', bare: true } },
    { path: '/:any(.*)', name: 'lost', component: () => import('./desk/Lost.vue'), meta: { title: 'Not found' } },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta['title'] ?? '')} · Cathedra`
})
