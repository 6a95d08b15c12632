<script setup lang="ts">
/** The stage to scale, its tables below, and what is looked at beside it. */
import { computed, useTemplateRef } from 'vue'
import { useFocusBack } from '../../../../composables/table/useFocusBack'
import { useRigKeys } from '../../../../composables/keys/useRigKeys'
import { PANELS, usePanelSizes } from '../../../../stores/panelSizes'
import { useProposal } from '../../../../stores/proposal'
import { useRigRoom, type RigTable } from '../../../../stores/rigRoom'
import { useShow } from '../../../../stores/show'
import RigInspector from '../../../../components/rig/RigInspector.vue'
import FixtureTable from '../../../../components/rig/tables/FixtureTable.vue'
import HangTable from '../../../../components/rig/tables/HangTable.vue'
import SetPieceTable from '../../../../components/rig/tables/SetPieceTable.vue'
import TargetTable from '../../../../components/rig/tables/TargetTable.vue'
import StageView from '../../../../components/stage/StageView.vue'

const store = useShow()
const rigRoom = useRigRoom()
const proposal = useProposal()
const stage = useTemplateRef<InstanceType<typeof StageView>>('stage')
const panels = usePanelSizes()
const isTall = computed(() => panels.sizes.tables > PANELS.tables.first)
useRigKeys(() => stage.value)
const tables = useTemplateRef<HTMLElement>('tables')
useFocusBack(
  () => tables.value,
  () => proposal.current !== null,
)

const TABLES: readonly { readonly table: RigTable; readonly name: string }[] = [
  { table: 'fixtures', name: 'Fixtures' },
  { table: 'hangs', name: 'Hangs' },
  { table: 'set pieces', name: 'Set pieces' },
  { table: 'targets', name: 'Targets' },
]
const PARTS = { fixtures: FixtureTable, hangs: HangTable, 'set pieces': SetPieceTable, targets: TargetTable } as const
const table = computed(() => PARTS[rigRoom.table])
</script>

<template>
  <main v-if="store.view" class="grid min-h-0" :style="panels.besideAndBelow">
    <section class="relative flex min-h-0 flex-col" aria-label="Stage">
      <PanelEdge panel="inspector" grows="left" />
      <StageView v-if="proposal.drawn" ref="stage" class="flex-1" :show="proposal.drawn" :pools-at-floor="false" />
      <div class="pointer-events-none absolute inset-x-3 top-2.5 flex items-start gap-2 *:pointer-events-auto">
        <ToolSwitch :tools="['select', 'lasso', 'move', 'lens']" />
        <ViewSwitch />
      </div>
    </section>
    <RigInspector class="row-span-2" :show="proposal.drawn ?? store.view" />
    <!-- A proposal stands where the tables are, so that the plan keeps its size under the pointer. -->
    <section ref="tables" class="relative min-h-0 border-t border-rule bg-deck" aria-label="Tables">
      <PanelEdge panel="tables" grows="up" />
      <component :is="table" class="h-full" :class="proposal.current ? 'invisible' : ''" :show="store.view">
        <div class="flex gap-1" role="radiogroup" aria-label="Table">
          <button
            v-for="item in TABLES"
            :key="item.table"
            type="button"
            role="radio"
            :aria-checked="rigRoom.table === item.table"
            class="rounded-md px-2.5 py-0.5 text-sm"
            :class="rigRoom.table === item.table ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
            @click="rigRoom.table = item.table"
          >
            {{ item.name }}
          </button>
          <button
            type="button"
            class="ml-2 text-sm text-haze hover:text-sail"
            :aria-pressed="isTall"
            @click="isTall ? panels.reset('tables') : panels.draw('tables', Infinity)"
          >
            {{ isTall ? 'Lower' : 'Taller' }}
          </button>
        </div>
      </component>
      <ProposalBar class="absolute inset-0 justify-start! pt-5" />
    </section>
  </main>
</template>
