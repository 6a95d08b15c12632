<script setup lang="ts">
/** The rig check: what looks wrong and why, each with a jump to it. */
import { ArrowRight, CircleAlert, CircleCheck, Eye } from '@lucide/vue'
import { computed } from 'vue'
import { rigCheck, type Finding } from '#core/rig/check'
import { useChosen } from '../../../../stores/chosen'
import { useStage } from '../../../../stores/stage'
import { useSelection } from '../../../../stores/selection'
import { useShow } from '../../../../stores/show'

const store = useShow()
const stage = useStage()
const selection = useSelection()
const chosen = useChosen()
const findings = computed(() => (store.view ? rigCheck(store.view) : []))
const base = computed(() => `/shows/${store.view?.id ?? ''}/rig`)
const wrong = computed(() => findings.value.filter(({ severity }) => severity === 'wrong').length)

async function jump({ jump: to }: Finding) {
  if (to.kind === 'type') return navigateTo(`${base.value}/types?type=${to.type}`)
  if (stage.view === 'space') stage.view = 'plan'
  await navigateTo(base.value)
  if (to.kind === 'fixture') selection.set(to.fixtures)
  else if (to.kind === 'hang') chosen.choose({ kind: 'hang', id: to.hang })
  else chosen.choose({ kind: 'target', id: to.target })
}
const JUMPS = {
  fixture: 'Show the fixtures',
  hang: 'Show the hang',
  target: 'Show the target',
  type: 'Open the type',
} as const
</script>

<template>
  <main v-if="store.view" class="min-h-0 overflow-y-auto" tabindex="0">
    <div class="mx-auto max-w-4xl px-6 py-5">
      <div v-if="findings.length === 0" class="mt-10 flex flex-col items-center gap-2 text-center">
        <CircleCheck :size="34" class="text-kelp" aria-hidden="true" />
        <h1 class="text-xl font-semibold">Nothing looks wrong</h1>
        <p class="max-w-xl text-mist">
          Looked for: two fixtures in one spot, fixtures below the floor or outside the venue, numbers and addresses
          that clash, fixtures without a type, modes that leave something out, targets nobody reaches, and hangs longer
          than the stage is wide.
        </p>
      </div>
      <template v-else>
        <h1 class="text-xl font-semibold">
          {{ findings.length }} to look at<span v-if="wrong" class="font-normal text-coral"
            >, {{ wrong }} will not work</span
          >
        </h1>
        <ul class="mt-4 flex flex-col gap-2">
          <li
            v-for="(finding, i) in findings"
            :key="i"
            class="flex items-start gap-3 rounded-lg border border-rule bg-deck px-4 py-3"
          >
            <component
              :is="finding.severity === 'wrong' ? CircleAlert : Eye"
              :size="17"
              class="mt-0.5 shrink-0"
              :class="finding.severity === 'wrong' ? 'text-coral' : 'text-brass'"
              aria-hidden="true"
            />
            <div class="min-w-0 flex-1">
              <p class="font-semibold">
                {{ finding.title }}
                <span
                  class="ml-1 text-sm font-normal"
                  :class="finding.severity === 'wrong' ? 'text-coral' : 'text-haze'"
                  >{{ finding.severity === 'wrong' ? 'will not work' : 'may be meant' }}</span
                >
              </p>
              <p class="text-sm text-mist">{{ finding.why }}</p>
            </div>
            <button type="button" class="chip flex shrink-0 items-center gap-1" @click="jump(finding)">
              {{ JUMPS[finding.jump.kind] }}<ArrowRight :size="13" aria-hidden="true" />
            </button>
          </li>
        </ul>
      </template>
    </div>
  </main>
</template>
