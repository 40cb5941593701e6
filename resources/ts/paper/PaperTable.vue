<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useGroups } from '../api/groups'
import { useModels } from '../api/models'
import { usePaperTable, useStocks } from '../api/paper'
import AskState from '../parts/AskState.vue'

/** Models by papers: fits, hard, no, and why. The words stand in the cells; the tint only repeats them. */
const { t } = useI18n()
const groups = useGroups()
const models = useModels()
const stocks = useStocks()
const group = ref<number | null>(null)
watch(
  () => groups.data.value,
  (list) => {
    group.value ??= list?.[0]?.id ?? null
  },
  { immediate: true },
)
const table = usePaperTable(group)
const cells = computed(() => new Map((table.data.value ?? []).map((c) => [`${c.model} ${c.stock}`, c.verdict])))
const open = ref('')
const reasons = computed(() => [
  ...(cells.value.get(open.value)?.reasons ?? []),
  ...(cells.value.get(open.value)?.notes ?? []),
])
</script>

<template>
  <AskState
    v-if="!models.data.value || !stocks.data.value || !groups.data.value"
    :error="models.error.value ?? stocks.error.value ?? groups.error.value"
    @again="models.refetch()" />
  <div v-else class="page stack">
    <h1>{{ t('table.title') }}</h1>
    <p class="quiet">{{ t('table.sub') }}</p>
    <p v-if="stocks.data.value.length === 0 || groups.data.value.length === 0" class="caution">
      {{ t('table.empty') }}
    </p>
    <template v-else>
      <p class="ask">
        {{ t('table.hands') }}
        <select v-model="group" :aria-label="t('shelf.group')">
          <option v-for="g in groups.data.value" :key="g.id" :value="g.id">{{ g.name }}</option>
        </select>
      </p>
      <div class="scroll sheet">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ t('choose.model') }}</th>
              <th v-for="s in stocks.data.value" :key="s.id" scope="col">
                {{ s.name }}<br /><span class="quiet">{{ s.grammage ?? '–' }} g/m²</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <template v-for="m in models.data.value" :key="m.slug">
              <tr>
                <th scope="row">
                  <RouterLink :to="{ name: 'model', params: { slug: m.slug } }">{{ m.title }}</RouterLink>
                </th>
                <td v-for="s in stocks.data.value" :key="s.id" :class="cells.get(`${m.slug} ${s.id}`)?.verdict">
                  <button
                    v-if="cells.has(`${m.slug} ${s.id}`)"
                    type="button"
                    :aria-expanded="open === `${m.slug} ${s.id}`"
                    @click="open = open === `${m.slug} ${s.id}` ? '' : `${m.slug} ${s.id}`">
                    {{ t(`table.${cells.get(`${m.slug} ${s.id}`)?.verdict}`) }}
                  </button>
                </td>
              </tr>
              <tr v-if="open.startsWith(`${m.slug} `)">
                <td :colspan="stocks.data.value.length + 1" class="why" role="status">{{ reasons.join(' ') }}</td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>

<style scoped>
.ask { font-family: var(--head); font-size: 1.2rem; }
.ask select {
  font: inherit; font-weight: 700; color: var(--tide-deep); background: var(--paper); border: 0;
  border-bottom: 3px solid var(--tide); padding: 4px 8px; min-height: 46px;
}
.scroll { overflow-x: auto; padding: 0; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: 0 14px; border-bottom: 1px solid var(--rule); }
thead th { padding: 12px 14px; }
tbody th { font-weight: 650; padding: 10px 14px; }
td button { min-height: 44px; width: 100%; text-align: left; }
td.fits button { color: var(--tide-deep); font-weight: 650; }
td.hard { background: var(--now-pale); }
td.no { color: var(--ink-2); background: var(--paper-shade); }
.why { background: var(--table); padding: 12px 14px; }
</style>
