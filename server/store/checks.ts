/** An entry's check as JSON, null where there is none; within a query of `entry`. */
export const CHECK_AS_JSON = `
  select jsonb_build_object('verdict', verdict, 'differences', differences)
  from entry_check where entry_check.academy_id = entry.academy_id and entry_check.entry_id = entry.id`;
