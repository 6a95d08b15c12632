/** Outputs: where the levels of a show go over a network; and which server sends them just now. */
import { forward } from './forward'

const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`

export const { up, down } = forward([
  `create table output (${KEY}, name text not null, protocol text not null check (protocol in ('E1.31','Art-Net')),
    first integer not null check (first between 1 and 63999),
    last integer not null check (last between first and first + 255 and last <= 63999),
    sent_as integer not null check (sent_as between 0 and 63999),
    addresses text[] not null check (cardinality(addresses) <= 32), "from" text not null,
    priority integer not null check (priority between 0 and 200),
    sync integer check (sync between 1 and 63999), source_name text not null check (length(source_name) between 1 and 63),
    is_on boolean not null, level double precision not null check (level between 0 and 1), is_black boolean not null,
    unique (show_id, name) deferrable initially deferred,
    check (case protocol when 'E1.31' then sent_as >= 1 and sent_as + last - first <= 63999
      else sent_as + last - first <= 32767 end))`,
  `create table output_lease (show_id text primary key references show (id) on delete cascade,
    holder text not null, expires_at timestamptz not null)`,
])
