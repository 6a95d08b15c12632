/** What a person's masks come back to when they counted for once. */
import { forward } from './forward'
import { journalledField } from './journalledField'

const FAMILIES = `array['intensity','position','beam','colour','gobo','shutters']`
const ATTRIBUTES = `array['intensity','position','zoom','edge','iris','red','green','blue','colourWheel','gobo','gobo2','shutterTop','shutterRight','shutterBottom','shutterLeft']`
const NULL = () => `'null'::jsonb`

const STATEMENTS = [
  `alter table person
    add column usual_take text[] check (usual_take <@ ${FAMILIES}),
    add column usual_held_back text[] check (usual_held_back <@ ${ATTRIBUTES}),
    add column usual_neutral text[] check (usual_neutral <@ ${FAMILIES}),
    add constraint person_usual_whole check (num_nulls(usual_take, usual_held_back) in (0, 2))`,
  ...journalledField('person', 'name', 'usual', NULL),
  ...journalledField('person', 'take', 'usualNeutral', NULL),
]

export const { up, down } = forward(STATEMENTS)
