<script setup lang="ts">
/** A note on the palette that is checked, kept as it is left. */
import { computed } from 'vue'
import { useCommit } from '../../composables/forms/useCommit'
import { usePass } from '../../stores/pass'

const pass = usePass()
const { keep } = useCommit()
const shown = computed(() => pass.line?.note ?? '')
const change = async (note: string) => (pass.line ? keep('noteInPass', { palette: pass.line.palette, note }) : null)
</script>

<template>
  <TextField label="Note" :shown="shown" placeholder="too hot on the left, soften" :keep="change" />
</template>
