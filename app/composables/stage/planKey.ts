/** Hands the plan's view and its pointer acts to the layers drawn in it. */
import { inject, provide, type InjectionKey } from 'vue'
import type { PlanView } from './usePlanView'

const KEY: InjectionKey<PlanView> = Symbol('plan view')

export function providePlan(view: PlanView) {
  provide(KEY, view)
}

/** The plan a layer is drawn in; throws for one that stands outside: a programmer's fault. */
export function usePlan(): PlanView {
  const view = inject(KEY)
  if (!view) throw new Error('a plan layer stands outside a plan')
  return view
}
