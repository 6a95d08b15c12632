<script setup lang="ts">
/** Left of the stage: type a selection, order and part it, click on hangs drawn to scale, pick groups. */
import { computed, useTemplateRef } from 'vue'
import { hangsOf, type RiggedHang } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { useDialogs } from '../../stores/dialogs'
import { useProposal } from '../../stores/proposal'
import EntryField from './EntryField.vue'
import ExtendGroupDialog from './ExtendGroupDialog.vue'
import GroupList from './GroupList.vue'
import HangStrip from './HangStrip.vue'
import RigGroups from './RigGroups.vue'
import SelectionBar from './SelectionBar.vue'
import WorkingSets from './WorkingSets.vue'

const props = defineProps<{ show: Show }>()
const proposal = useProposal()
const dialogs = useDialogs()
const entry = useTemplateRef<InstanceType<typeof EntryField>>('entry')
const hangs = computed(() => hangsOf(props.show))

function retrim(hang: RiggedHang, height: number) {
  proposal.propose('moveHang', { hang: hang.id, origin: { ...hang.place.origin, z: height } }, true)
}

defineExpose({ startWith: (key: string) => entry.value?.startWith(key) })
</script>

<template>
  <aside class="flex min-h-0 flex-col border-r border-rule bg-deck" aria-label="Select">
    <div class="flex flex-col gap-2 p-3 pb-2">
      <EntryField ref="entry" :show="show" />
      <SelectionBar :show="show" />
    </div>
    <div class="flex min-h-0 flex-1 flex-col gap-2 isolate overflow-y-auto px-3 pb-2">
      <div v-if="hangs.length === 0" class="rounded-md border border-dashed border-rule-2 p-3 text-mist">
        <p>Hangs and their fixtures belong here. Bring them in from a table.</p>
        <button type="button" class="chip mt-2" @click="dialogs.open = 'tables'">Open tables</button>
      </div>
      <HangStrip v-for="hang in hangs" :key="hang.id" :show="show" :hang="hang" @retrim="retrim(hang, $event)" />
    </div>
    <div class="flex max-h-[44%] min-h-40 flex-col gap-2.5 overflow-y-auto border-t border-rule p-3 pt-2">
      <GroupList :show="show" />
      <RigGroups :show="show" />
      <WorkingSets :show="show" />
    </div>
    <ExtendGroupDialog :show="show" :group="dialogs.extendingGroup" @close="dialogs.extendingGroup = null" />
  </aside>
</template>
