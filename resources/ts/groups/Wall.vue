<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWall } from '../api/groups'
import AskState from '../parts/AskState.vue'
import FinishMark from '../parts/FinishMark.vue'

const props = defineProps<{ id: number }>()
const { t } = useI18n()
const wall = useWall(() => props.id)
const cells = computed(() => new Map((wall.data.value?.cells ?? []).map((c) => [`${c.learner} ${c.model}`, c])))
const label = (c?: { outcome: string; step: number | null; seen: boolean }) =>
  !c ? t('wall.no')
    : c.outcome === 'stopped' ? t('keep.stoppedAt', { n: c.step })
    : c.seen ? t(`keep.outcome.${c.outcome}`)
    : t('wall.presumed', { outcome: t(`keep.outcome.${c.outcome}`) })
const presumes = computed(() => (wall.data.value?.cells ?? []).some((c) => !c.seen))
</script>

<template>
  <AskState v-if="!wall.data.value" :error="wall.error.value" @again="wall.refetch()" />
  <div v-else class="page">
    <div class="row head">
      <h1>{{ wall.data.value.group.name }}</h1>
      <span class="quiet">{{
        wall.data.value.models.length ? t('wall.sub', { n: wall.data.value.finished }) : t('wall.empty')
      }}</span>
      <a v-if="wall.data.value.models.length" class="no-print" :href="`/api/groups/${id}/records.csv`" download>{{
        t('wall.csv')
      }}</a>
    </div>
    <div class="sheet scroll" tabindex="0">
      <table>
        <caption class="hidden">
          {{
            t('groups.wall')
          }}
        </caption>
        <thead>
          <tr>
            <th scope="col">{{ t('wall.learner') }}</th>
            <th v-for="model in wall.data.value.models" :key="model.slug" scope="col">{{ model.title }}</th>
            <td class="rest"></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="learner in wall.data.value.group.learners" :key="learner.id">
            <th scope="row">{{ learner.name }}</th>
            <td v-for="model in wall.data.value.models" :key="model.slug">
              <FinishMark
                :outcome="cells.get(`${learner.id} ${model.slug}`)?.outcome ?? ''"
                :step="cells.get(`${learner.id} ${model.slug}`)?.step ?? null"
                :presumed="cells.get(`${learner.id} ${model.slug}`)?.seen === false"
                :label="label(cells.get(`${learner.id} ${model.slug}`))" />
            </td>
            <td class="rest"></td>
          </tr>
        </tbody>
      </table>
    </div>
    <ul class="list row legend" :aria-label="t('wall.legend')">
      <li v-for="o in ['alone', 'help', 'stopped', 'away']" :key="o" class="row">
        <FinishMark :outcome="o" :step="6" :label="''" aria-hidden="true" />{{
          o === 'stopped' ? t('keep.stoppedAt', { n: 6 }) : t(`keep.outcome.${o}`)
        }}
      </li>
      <li v-if="presumes" class="row">
        <FinishMark outcome="alone" presumed :label="''" aria-hidden="true" />{{ t('wall.presumedSays') }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.head { margin: 8px 0 18px; gap: 24px; }
.scroll { overflow-x: auto; padding: 0; }
table { border-collapse: collapse; width: 100%; }
th, td { padding: 5px 18px; border-bottom: 1px solid var(--row); text-align: center; }
td > :deep(svg) { margin: 0 auto; }
thead th { font-family: var(--head); padding: 14px 18px; }
th:first-child { text-align: left; position: sticky; left: 0; background: var(--paper); min-width: 120px; }
.rest { width: 100%; }
.legend { margin-top: 16px; gap: 28px; }
.legend .row { gap: 8px; }
.hidden { position: absolute; left: -9999px; }
</style>
