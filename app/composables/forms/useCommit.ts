/** Ways for fields to keep what is typed: each resolves to the words of the refusal, or null. */
import type { CommandInput, CommandName } from '#core/commands/registry'
import type { StageChange } from '../../stores/asking'
import { useProposal } from '../../stores/proposal'
import { refusalWords } from './refusalWords'
import { useShow } from '../../stores/show'

export function useCommit() {
  const show = useShow()
  const proposal = useProposal()

  /** Does it at once. */
  async function keep<N extends CommandName>(name: N, input: CommandInput<N>): Promise<string | null> {
    const refusal = await show.ask(name, input)
    return refusal && refusalWords(refusal)
  }

  /** Does it at once where nothing leans on it; else shows first what follows. */
  async function offer<N extends StageChange>(name: N, input: CommandInput<N>): Promise<string | null> {
    const refusal = await proposal.offer(name, input)
    return refusal && refusalWords(refusal)
  }

  return { keep, offer }
}
