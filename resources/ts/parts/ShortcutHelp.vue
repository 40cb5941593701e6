<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { lettersOff } from './typing'

const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const keys = [
  'L', 'M', 'P', 'G', 'right', 'left', 'R', 'B', 'U', 'A', 'S', 'F', 'W', 'O', 'V', 'turn', 'question',
] as const
</script>

<template>
  <v-dialog v-model="open" max-width="520" :aria-label="t('keys.title')">
    <div class="sheet">
      <h2>{{ t('keys.title') }}</h2>
      <dl>
        <template v-for="key in keys" :key="key"
          ><dt>
            <kbd class="key">{{ t(`keys.name.${key}`) }}</kbd>
          </dt>
          <dd>{{ t(`keys.does.${key}`) }}</dd></template
        >
      </dl>
      <label class="off"><input v-model="lettersOff" type="checkbox" /> {{ t('keys.off') }}</label>
      <v-btn color="primary" @click="open = false">{{ t('app.close') }}</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
dl { display: grid; grid-template-columns: auto 1fr; gap: 8px 16px; margin: 16px 0; }
dd { margin: 0; }
.off { display: flex; gap: 10px; align-items: center; min-height: 44px; margin-bottom: 12px; }
.off input { width: 20px; height: 20px; }
</style>
