/**
 * Who may come in. Keys and the tokens of browsers are there as hashes only; `installation` names
 * this database, so that browsers keep the tokens of several on one machine apart.
 */
import { forward } from './forward'

const HASH = (name: string) => `${name} text not null unique check (${name} ~ '^[0-9a-f]{64}$')`

export const { up, down } = forward([
  `create table installation (name text primary key, "only" boolean not null default true unique check ("only"))`,
  `insert into installation (name) values (substr(replace(gen_random_uuid()::text, '-', ''), 1, 12))`,
  `create table access_link (id text primary key, show_id text references show (id) on delete cascade,
    role text not null check (role in ('watches','walks the stage','programs','owns')),
    label text not null check (length(label) <= 120), ${HASH('key_hash')},
    made_at timestamptz not null default now(), ends_at timestamptz)`,
  `create index access_link_show on access_link (show_id)`,
  `create table access_session (id text primary key, link_id text references access_link (id) on delete set null,
    by_link boolean not null,
    ${HASH('token_hash')}, person text not null, name text check (length(name) <= 120),
    begun_at timestamptz not null default now(), seen_at timestamptz not null default now())`,
  `create index access_session_link on access_session (link_id)`,
  `create index access_session_person on access_session (person)`,
])
