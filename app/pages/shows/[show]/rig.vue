<script setup lang="ts">
/** The Rig room: what hangs and stands where, to scale, and everything it can be wrong about. */
import { computed, onMounted, onUnmounted } from 'vue'
import { rigCheck } from '#core/rig/check'
import { RIG_PARTS } from '../../../session/rooms'
import { useStage } from '../../../stores/stage'
import { useShow } from '../../../stores/show'

const store = useShow()
const stage = useStage()
const route = useRoute()
const findings = computed(() => (store.view ? rigCheck(store.view) : []))
const base = computed(() => `/shows/${store.view?.id ?? ''}/rig`)

onMounted(() => (stage.room = 'rig'))
onUnmounted(() => {
  stage.room = 'focus'
  if (stage.tool === 'lens') stage.tool = 'select'
})
</script>

<template>
  <div v-if="store.view" class="flex min-h-0 flex-col">
    <nav aria-label="Parts of the rig" class="flex h-9 shrink-0 items-center gap-1 border-b border-rule bg-deck px-3">
      <NuxtLink
        v-for="part in RIG_PARTS"
        :key="part.path"
        :to="`${base}${part.path}`"
        class="flex items-center gap-1.5 rounded-md px-2.5 py-0.5 text-sm"
        :class="
          route.path === `${base}${part.path}` ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'
        "
      >
        {{ part.name }}
        <span
          v-if="part.name === 'Check' && findings.length"
          class="rounded-full bg-coral px-1.5 font-mono text-xs font-bold text-on-coral"
          >{{ findings.length }}</span
        >
      </NuxtLink>
    </nav>
    <NuxtPage class="min-h-0 flex-1" />
  </div>
</template>
