import { createRouter, createWebHistory } from 'vue-router'
import { headToHeading, scrollBehavior } from './parts/arriving'

/** Screens by subject, as the rooms of core and app; teaching is on the feet, everything else at the desk. */
export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior,
  routes: [
    { path: '/', name: 'home', component: () => import('./home/Home.vue'), meta: { title: 'Lessons' } },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('./account/SignIn.vue'),
      meta: { title: 'Sign in', open: true },
    },
    { path: '/shelf', name: 'shelf', component: () => import('./shelf/Shelf.vue'), meta: { title: 'Shelf' } },
    { path: '/shelf/folds', name: 'folds', component: () => import('./shelf/Folds.vue'), meta: { title: 'Folds' } },
    {
      path: '/shelf/folds/cards/:kind',
      name: 'cards',
      component: () => import('./print/Cards.vue'),
      props: true,
      meta: { title: 'Cards' },
    },
    {
      path: '/shelf/folds/:kind',
      name: 'fold',
      component: () => import('./shelf/Fold.vue'),
      props: true,
      meta: { title: 'Fold' },
    },
    {
      path: '/shelf/:slug/decorate',
      name: 'decorate',
      component: () => import('./decorate/Decorate.vue'),
      props: true,
    },
    {
      path: '/shelf/:slug/handout',
      name: 'handout',
      component: () => import('./print/Handout.vue'),
      props: true,
      meta: { title: 'Handout' },
    },
    {
      path: '/shelf/:slug',
      name: 'model',
      component: () => import('./shelf/Model.vue'),
      props: true,
      meta: { title: 'Model' },
    },
    {
      path: '/lessons/term',
      name: 'term',
      component: () => import('./terms/Term.vue'),
      meta: { title: 'A term' },
    },
    {
      path: '/learned',
      name: 'learned',
      component: () => import('./pacing/Learned.vue'),
      meta: { title: 'What lessons taught' },
    },
    {
      path: '/patterns',
      name: 'patterns',
      component: () => import('./shelf/Pattern.vue'),
      meta: { title: 'Crease pattern' },
    },
    {
      path: '/cupboard',
      name: 'cupboard',
      component: () => import('./paper/Cupboard.vue'),
      meta: { title: 'Cupboard' },
    },
    {
      path: '/cupboard/models',
      name: 'paper-table',
      component: () => import('./paper/PaperTable.vue'),
      meta: { title: 'What folds from what' },
    },
    {
      path: '/cupboard/bench',
      name: 'bench',
      component: () => import('./paper/Bench.vue'),
      meta: { title: 'Cut squares' },
    },
    {
      path: '/cupboard/ahead',
      name: 'ahead',
      component: () => import('./paper/Ahead.vue'),
      meta: { title: 'Paper ahead' },
    },
    { path: '/groups', name: 'groups', component: () => import('./groups/Groups.vue'), meta: { title: 'Groups' } },
    {
      path: '/groups/:id(\\d+)',
      name: 'wall',
      component: () => import('./groups/Wall.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Wall chart' },
    },
    { path: '/bin', name: 'bin', component: () => import('./bin/Bin.vue'), meta: { title: 'Bin' } },
    { path: '/account', name: 'account', component: () => import('./account/Account.vue'), meta: { title: 'Account' } },
    {
      path: '/lessons/new',
      name: 'new-lesson',
      component: () => import('./lessons/Choose.vue'),
      meta: { title: 'New lesson' },
    },
    {
      path: '/lessons/:id(\\d+)',
      component: () => import('./lessons/Lesson.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Lesson' },
      children: [
        { path: '', redirect: { name: 'plan' } },
        { path: 'choose', name: 'choose', component: () => import('./lessons/Choose.vue') },
        { path: 'paper', name: 'paper', component: () => import('./paper/Paper.vue') },
        { path: 'plan', name: 'plan', component: () => import('./lessons/Plan.vue') },
        { path: 'keep', name: 'keep', component: () => import('./teaching/Keep.vue') },
        { path: 'kits', name: 'kits', component: () => import('./paper/Kits.vue') },
        { path: 'worksheet', name: 'worksheet', component: () => import('./paper/Worksheet.vue') },
      ],
    },
    {
      path: '/lessons/:id(\\d+)/handout',
      name: 'lesson-handout',
      component: () => import('./print/Handout.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Handout' },
    },
    {
      path: '/lessons/:id(\\d+)/run-sheet',
      name: 'run-sheet',
      component: () => import('./print/RunSheet.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Run sheet' },
    },
    {
      path: '/lessons/:id(\\d+)/ways/:slug',
      name: 'ways',
      component: () => import('./ways/Ways.vue'),
      props: (to) => ({ id: Number(to.params['id']), slug: String(to.params['slug']) }),
      meta: { title: 'Ways of teaching', bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/teach',
      name: 'teach',
      component: () => import('./teaching/Stage.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Teach', bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/wall',
      name: 'lesson-wall',
      component: () => import('./teaching/WallView.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Wall', bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/rehearse',
      name: 'rehearse',
      component: () => import('./teaching/rehearsal/Rehearse.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Rehearse', bare: true },
    },
    { path: '/:any(.*)', name: 'lost', component: () => import('./parts/Lost.vue'), meta: { title: 'Not found' } },
  ],
})

router.afterEach((to, from) => {
  if (from.name !== undefined && to.path !== from.path) void headToHeading()
  document.title = `${String(to.meta['title'] ?? '')} · Cathedra`
})
