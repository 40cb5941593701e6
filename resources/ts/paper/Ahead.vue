<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'
import AskState from '../parts/AskState.vue'
import { clock, day } from '../parts/clock'

/** What all lessons ahead take together: enough or not, where it runs out, what to buy. */
const { t } = useI18n()
const until = ref('')
const ahead = useQuery({
  queryKey: ['paper-ahead', until],
  queryFn: () =>
    answer(client.GET('/api/paper-ahead', { params: { query: until.value === '' ? {} : { until: until.value } } })),
  placeholderData: (before) => before,
})
const planned = computed(() => (ahead.data.value?.lessons ?? []).filter((l) => l.takes.length > 0))
const sheets = computed(() => (ahead.data.value?.stocks ?? []).reduce((sum, s) => sum + s.sheets, 0))
const missing = computed(() => (ahead.data.value?.stocks ?? []).reduce((sum, s) => sum + s.short, 0))
const title = (id: number | null) => ahead.data.value?.lessons.find((l) => l.id === id)
const when = (start: string) => day(start, { today: t('home.today'), tomorrow: t('home.tomorrow') })
const print = () => window.print()
/** The share of the need that the cupboard holds, for its bar. */
const held = (s: { sheets: number; have: number | null }) =>
  s.have === null ? 100 : Math.min(100, (100 * s.have) / Math.max(1, s.sheets))
</script>

<template>
  <AskState v-if="!ahead.data.value" :error="ahead.error.value" @again="ahead.refetch()" />
  <div v-else class="page stack">
    <div class="row">
      <h1>{{ planned.length ? t('ahead.title', { n: sheets, lessons: planned.length }) : t('ahead.none') }}</h1>
      <label class="until no-print ml-auto"
        >{{ t('ahead.until') }}
        <input type="date" :value="ahead.data.value.until" @change="until = ($event.target as HTMLInputElement).value"
      /></label>
      <v-btn v-if="planned.length" class="no-print" variant="outlined" @click="print">{{ t('paper.print') }}</v-btn>
    </div>
    <p v-if="ahead.error.value" class="warn" role="alert">{{ ahead.error.value.message }}</p>
    <p v-if="planned.length === 0" class="quiet">
      {{ t('ahead.noneText') }} <RouterLink :to="{ name: 'all-lessons' }">{{ t('pages.all-lessons') }}</RouterLink>
    </p>
    <template v-else>
      <p class="answer" :class="missing > 0 ? 'warn' : 'good'">
        {{
          missing > 0
            ? t('ahead.short', { n: missing, day: when(ahead.data.value.until) })
            : t('ahead.enough', { day: when(ahead.data.value.until) })
        }}
      </p>
      <ul class="list">
        <li v-for="s in ahead.data.value.stocks" :key="s.stock" class="paper">
          <div>
            <b class="name">{{ s.name }}</b
            ><br /><span class="quiet">{{
              s.runs_out === null
                ? ''
                : t('ahead.runsOut', {
                    lesson: `${title(s.runs_out)?.title}, ${when(title(s.runs_out)?.starts_at ?? '')}`,
                  })
            }}</span>
          </div>
          <div
            class="bar"
            role="img"
            :aria-label="`${t('ahead.need')}: ${s.sheets}, ${t('ahead.have')}: ${s.have ?? t('ahead.plenty')}`">
            <i :style="{ width: `${held(s)}%` }"></i>
          </div>
          <span>{{ t('ahead.needHave', { need: s.sheets, have: s.have ?? t('ahead.plenty') }) }}</span>
          <b :class="s.short > 0 ? 'warn' : 'good'"
            >{{ s.short > 0 ? t('ahead.buyN', { n: s.short }) : t('ahead.ok') }}
            <span v-if="s.buy" class="quiet">{{ t('ahead.buyFor', { cost: s.buy.toFixed(2) }) }}</span></b
          >
        </li>
      </ul>
      <p v-if="ahead.data.value.together > 0">{{ t('ahead.together', { n: ahead.data.value.together }) }}</p>
      <p v-if="ahead.data.value.cost !== null && ahead.data.value.cost > 0" class="quiet">
        {{ t('ahead.total', { cost: ahead.data.value.cost.toFixed(2) }) }}
      </p>
      <p v-if="ahead.data.value.unplanned > 0" class="caution">
        {{ t('ahead.unplanned', { n: ahead.data.value.unplanned }) }}
      </p>
      <div class="sheet scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ t('ahead.lesson') }}</th>
              <th scope="col">{{ t('ahead.pieces') }}</th>
              <th scope="col">{{ t('ahead.stock') }}</th>
              <th scope="col">{{ t('ahead.left') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="l in ahead.data.value.lessons" :key="l.id">
              <th scope="row">
                <RouterLink :to="{ name: 'paper', params: { id: l.id } }">{{ l.title }}</RouterLink
                ><br /><span class="quiet">{{ when(l.starts_at) }} {{ clock(l.starts_at) }}, {{ l.group }}</span>
              </th>
              <td>
                {{
                  l.problem
                    ? t('ahead.problem')
                    : l.pieces.map((p) => (p.uncut ? p.title : `${p.count} × ${p.side}`)).join(', ')
                }}
              </td>
              <td>
                <div v-for="take in l.takes" :key="take.stock">{{ take.sheets }} × {{ take.name }}</div>
              </td>
              <td>
                <div v-for="take in l.takes" :key="take.stock" :class="{ warn: take.left !== null && take.left < 0 }">
                  {{
                    take.left === null
                      ? t('ahead.plenty')
                      : take.left < 0
                        ? t('ahead.missingN', { n: -take.left })
                        : take.left
                  }}
                </div>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>

<style scoped>
.answer { font-size: 1.2rem; }
.until { font-family: var(--head); }
.until input {
  font: inherit; background: var(--paper); border: 0; border-bottom: 3px solid var(--tide); min-height: 44px;
  padding: 0 8px;
}
.paper {
  display: grid; grid-template-columns: 1.4fr 1.4fr 1fr 1fr; gap: 18px; align-items: center; padding: 12px 0;
  border-bottom: 1px solid var(--rule);
}
.name { font-family: var(--head); font-size: 1.15rem; }
.bar {
  height: 26px; border: 2px solid var(--ink);
  background: repeating-linear-gradient(135deg, var(--warn-pale) 0 6px, var(--paper) 6px 12px);
}
.bar i { display: block; height: 100%; background: var(--tide); }
.scroll { overflow-x: auto; padding: 4px 12px; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: 10px; border-bottom: 1px solid var(--rule); vertical-align: top; }
@media (max-width: 860px) { .paper { grid-template-columns: 1fr 1fr; } }
</style>
