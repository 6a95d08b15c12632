/** Values in hand that come in over a time. */
import { forward } from './forward'
import { journalledWhole } from './journalledField'

const STATEMENTS = [
  `alter table hand_value
    add column arrival_started_at bigint check (arrival_started_at >= 0),
    add column arrival_seconds double precision check (arrival_seconds > 0),
    add column arrival_from jsonb check (arrival_from ->> 'kind' in ('aim','angles','number')),
    add constraint hand_value_arrival_whole
      check (num_nulls(arrival_started_at, arrival_seconds, arrival_from) in (0, 3))`,
  ...journalledWhole('handValue', '{"arrival":null}'),
]

export const { up, down } = forward(STATEMENTS)
