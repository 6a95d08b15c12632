/** With which fixtures palettes were recorded; of those there are, what is known: the fixtures with values of their own. */
import { forward } from './forward'

const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`

const STATEMENTS = [
  `create table recorded_fixture (${KEY}, palette text not null, fixture text not null,
    unique (show_id, palette, fixture) deferrable initially deferred, ${TO('palette', 'palette')}, ${TO('fixture', 'fixture')})`,
  `insert into recorded_fixture (show_id, id, palette, fixture)
    select distinct show_id, palette || '.' || fixture, palette, fixture from palette_value where fixture is not null`,
]

export const { up, down } = forward(STATEMENTS)
