<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem } from '../api/client'
import { usePattern } from '../api/models'
import FoldPicture from '../parts/FoldPicture.vue'

/**
 * Brings a crease pattern from elsewhere: folded, checked, shown, or refused with the vertex, edge or face that
 * fails.
 */
const { t } = useI18n()
const pattern = usePattern()
const text = ref('')
const name = ref('')
const result = computed(() => pattern.data.value)
const fault = computed(() =>
  pattern.error.value instanceof Problem ? (pattern.error.value.fields['document'] ?? pattern.error.value.message) : '',
)
const link = computed(() =>
  result.value ? URL.createObjectURL(new Blob([result.value.document], { type: 'application/json' })) : '',
)

async function take(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  name.value = file.name
  text.value = await file.text()
  pattern.mutate(text.value)
}
</script>

<template>
  <div class="page stack">
    <h1>{{ t('pattern.title') }}</h1>
    <p class="quiet">{{ t('pattern.sub') }}</p>
    <form class="sheet stack" @submit.prevent="pattern.mutate(text)">
      <label class="file"
        ><b>{{ t('pattern.choose') }}</b> <input type="file" accept=".fold,.json,application/json" @change="take"
      /></label>
      <v-textarea v-model="text" :label="t('pattern.paste')" rows="4" spellcheck="false" />
      <div class="row">
        <v-btn
          type="submit"
          color="primary"
          class="fold-button"
          :loading="pattern.isPending.value"
          :disabled="text.trim() === ''"
          >{{ t('pattern.go') }}</v-btn
        >
      </div>
    </form>
    <p v-if="fault" class="sheet" role="alert">
      <b class="warn">{{ t('pattern.wrong') }}.</b> {{ fault }}
    </p>
    <template v-else-if="result">
      <h2>{{ result.title }}</h2>
      <p>
        {{
          t('pattern.facts', {
            faces: result.faces,
            layers: result.most_layers,
            a: result.sheet[0],
            b: result.sheet[1],
            c: result.size[0],
            d: result.size[1],
          })
        }}. {{ result.checks.join(' ') }}
      </p>
      <div class="three">
        <figure
          v-for="view in [
            { scene: result.pattern, say: 'pattern' },
            { scene: result.front, say: 'front' },
            { scene: result.behind, say: 'behind' },
          ]"
          :key="view.say"
          class="sheet">
          <div class="small"><FoldPicture :drawing="view.scene" :title="t(`pattern.${view.say}`)" /></div>
          <figcaption>{{ t(`pattern.${view.say}`) }}</figcaption>
        </figure>
      </div>
      <p>
        <a :href="link" :download="`${name.replace(/\.\w+$/, '') || 'pattern'}-folded.fold`">{{
          t('pattern.download')
        }}</a>
      </p>
    </template>
    <p v-else class="quiet">{{ t('pattern.empty') }}</p>
  </div>
</template>

<style scoped>
.three { display: grid; grid-template-columns: repeat(auto-fit, minmax(240px, 1fr)); gap: 18px; }
figure { margin: 0; }
.small { height: 260px; }
figcaption { padding-top: 8px; font-weight: 650; }
.file input { font: inherit; padding: 10px; width: 100%; min-width: 0; }
h1 { overflow-wrap: anywhere; }
</style>
