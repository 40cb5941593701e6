<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonCard } from '../api/client'
import { clock, day } from '../parts/clock'

/** The lesson as a folded strip of paper: five panels, each with its one figure; the open one unfolded. */
const props = defineProps<{ card: LessonCard; open?: string }>()
const { t } = useI18n()

const panels = computed(() => {
  const c = props.card
  const when = {
    day: day(c.starts_at, { today: t('home.today'), tomorrow: t('home.tomorrow') }),
    time: clock(c.starts_at),
  }
  const short = (c.paper_short ?? 0) > 0 && c.status === 'planned' && !c.paper_ready
  return [
    {
      name: 'choose',
      title: c.model_title,
      text: t('strip.for', { group: c.group, n: c.learners }),
      flag: '',
      settled: true,
      bad: false,
    },
    {
      name: 'paper',
      title: t('strip.paper'),
      text:
        c.sheets === null ? t('strip.noPaper') : c.paper_ready ? t('strip.ready') : t('strip.sheets', { n: c.sheets }),
      flag: short ? t('strip.short', { n: c.paper_short }) : '',
      settled: c.paper_ready,
      bad: short || c.sheets === null,
    },
    {
      name: 'plan',
      title: t('strip.plan'),
      text: t('strip.plan1', { needed: c.needed_minutes, slot: c.minutes }),
      flag: c.fits ? '' : t('strip.over', { n: c.needed_minutes - c.minutes }),
      settled: c.fits,
      bad: !c.fits,
    },
    {
      name: 'teach',
      title: t('strip.teach'),
      text:
        c.status === 'taught'
          ? t('strip.taught')
          : c.status === 'teaching'
            ? t('strip.step', { n: c.step, m: c.steps })
            : t('strip.at', when),
      flag: '',
      settled: c.status === 'taught',
      bad: false,
    },
    {
      name: 'keep',
      title: t('strip.keep'),
      text: c.status === 'taught' ? t('strip.done', { n: c.finished, m: c.here }) : t('strip.after'),
      flag: '',
      settled: c.status === 'taught',
      bad: false,
    },
  ]
})
</script>

<template>
  <nav class="strip no-print" :aria-label="t('strip.label')">
    <RouterLink
      v-for="(panel, i) in panels"
      :key="panel.name"
      :to="{ name: panel.name, params: { id: card.id } }"
      class="panel"
      :class="{ open: panel.name === open, odd: i % 2 === 1 }"
      :aria-current="panel.name === open ? 'step' : undefined">
      <span class="head"
        ><b>{{ panel.title }}</b
        ><span v-if="panel.flag" class="flag" :class="{ bad: panel.bad }">{{ panel.flag }}</span>
        <svg v-else-if="panel.settled" viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
          <path d="M2 2h9v7h7v9H2z" fill="currentColor" />
          <path d="M11 2l7 7h-7z" fill="var(--tide-pale)" /></svg
      ></span>
      <span class="text">{{ panel.text }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.strip { display: flex; filter: drop-shadow(0 3px 5px rgb(23 37 45 / 0.22)); margin-bottom: 20px; }
.panel { flex: 1 1 0; min-width: 0; min-height: 92px; padding: 18px 18px 14px; color: var(--ink);
  text-decoration: none; display: grid; align-content: start; gap: 4px;
  background: linear-gradient(90deg, var(--paper) 55%, var(--shade-3));
  clip-path: polygon(0 0, 100% 10px, 100% 100%, 0 calc(100% - 10px)); }
.panel.odd {
  background: linear-gradient(90deg, var(--shade-4), var(--shade-1) 60%);
  clip-path: polygon(0 10px, 100% 0, 100% calc(100% - 10px), 0 100%);
}
.panel.open { flex-grow: 1.5; background: var(--tide); color: white; }
.panel:focus-visible { outline-offset: -6px; }
.head { display: flex; justify-content: space-between; gap: 8px; font-family: var(--head); font-size: 1.08rem; }
.head b { overflow: hidden; text-overflow: ellipsis; }
.head svg { flex: none; color: var(--tide); }
.panel.open .head svg { color: white; }
.text { color: var(--ink-2); overflow-wrap: anywhere; }
.panel.open .text { color: white; }
.flag { font-family: var(--text); font-size: 0.9rem; font-weight: 700; white-space: nowrap; }
.flag.bad { color: var(--warn); }
.panel.open .flag.bad { color: var(--on-warn); background: var(--warn); padding: 0 6px; }
@media (max-width: 860px) {
  .panel { padding: 16px 10px; } .head { font-size: 0.98rem; flex-wrap: wrap; } .text { font-size: 0.88rem; }
}
@media (max-width: 480px) {
  .panel:first-child .text { display: none; } /* the names of groups do not fit; the first panel is the model */
}
</style>
