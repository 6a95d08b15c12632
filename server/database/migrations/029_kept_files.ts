/** Files of other programs are kept whole, and records say which rig or type came from them. Bytes are never taken out but with their show. */
import { forward } from './forward'

const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const FILE = `name text not null check (length(name) between 1 and 200), digest text not null, size integer not null,
  left_handed text[] not null check (left_handed <@ array['pan','tilt'] and cardinality(left_handed) <= 2),
  foreign key (show_id, digest, size) references stored_file (show_id, digest, size) deferrable initially deferred`
const between = (column: string, least: number, most: number) =>
  `${column} double precision not null check (${column} between ${least} and ${most})`

export const { up, down } = forward([
  `create table stored_file (show_id text not null references show (id) on delete cascade,
    digest text not null check (digest ~ '^[0-9a-f]{64}$'),
    size integer not null check (size between 1 and 40000000),
    bytes bytea not null check (octet_length(bytes) = size and digest = encode(sha256(bytes), 'hex')),
    primary key (show_id, digest), unique (show_id, digest, size))`,
  'alter table stored_file alter column bytes set storage external',
  `create table type_file (${KEY}, type text not null, ${FILE}, entry text not null check (length(entry) <= 200),
    part integer not null check (part between 0 and 100), check (id = type), ${TO('type', 'fixture_type')})`,
  `create table rig_file (${KEY}, venue text not null, ${FILE}, at bigint not null check (at between 0 and 8640000000000000),
    mirrored boolean not null, ${between('turn', -3600, 3600)},
    ${['shift_x', 'shift_y', 'shift_z'].map((column) => between(column, -1000, 1000)).join(', ')},
    ${TO('venue', 'venue')})`,
  'create index on type_file (show_id, digest)',
  'create index on rig_file (show_id, digest)',
  'create index on type_file (show_id, type)',
  'create index on rig_file (show_id, venue)',
])
