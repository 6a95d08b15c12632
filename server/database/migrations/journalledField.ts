/** Statements that carry the journal along when things get a new field. */

/**
 * Things made or taken out by journalled commands carry their new field from now on, beside one
 * they had. `value` is an SQL expression of the field's worth, given that of the field beside it.
 */
export function journalledField(
  kind: string,
  beside: string,
  field: string,
  value: (side: string) => string,
): string[] {
  return [
    ['after', 'before'],
    ['before', 'after'],
  ].map(
    ([side = '', other = '']) => `insert into journal_write (show_id, seq, place, register, ${side})
      select w.show_id, w.seq, (select max(place) from journal_write m where m.show_id = w.show_id and m.seq = w.seq)
        + row_number() over (partition by w.show_id, w.seq order by w.place), replace(w.register, '/${beside}', '/${field}'), ${value(`w.${side}`)}
      from journal_write w where w.register like '${kind}/%/${beside}' and w.${side} is not null and w.${other} is null`,
  )
}

/** Things that are one register as a whole carry new fields from now on; `fields` is their worth as JSON. */
export function journalledWhole(kind: string, fields: string): string[] {
  return ['after', 'before'].map(
    (side) => `update journal_write set ${side} = ${side} || '${fields}'::jsonb
      where register like '${kind}/%' and ${side} is not null`,
  )
}
