-- A card that has all the ticks it can keep says so; a word that it hurts is kept beyond that.

grant create on schema public to pedastance_doorman;

drop function card_tick_add(bytea, jsonb, timestamptz);

-- 'closed' where the link is not open; 'full' where there is no room for some of the ticks; else 'taken'.
create function card_ticks_take(wanted bytea, ticks jsonb, at timestamptz) returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    link card_link;
    kept integer;
  begin
    select * into link from card_link
      where token_hash = wanted and revoked_at is null and ends_on >= (at at time zone 'UTC')::date for update;
    if link.id is null then
      return 'closed';
    end if;
    select count(*) into kept from card_tick
      where card_tick.academy_id = link.academy_id and card_tick.card_id = link.card_id;
    insert into card_tick (academy_id, id, student_id, card_id, ticked_on, rounds, hurts, takes_back, rung_at, rung_done, received_at)
      select link.academy_id, (each ->> 'id')::uuid, link.student_id, link.card_id,
        -- A clock that is off by more than a day's travel is not believed.
        case when (each ->> 'on')::date between (link.made_at - interval '1 day')::date and (at + interval '1 day')::date
          then (each ->> 'on')::date else (at at time zone 'UTC')::date end,
        (each -> 'rounds')::integer, (each -> 'hurts')::boolean, coalesce((each -> 'takesBack')::boolean, false),
        (each -> 'rung' ->> 'at')::float8, (each -> 'rung' ->> 'done')::boolean, at
      from jsonb_array_elements(ticks) with ordinality as sent (each, place)
      -- Words of pain have room of their own.
      where kept + place <= case when (each -> 'hurts')::boolean or (each -> 'takesBack')::boolean then 2200 else 2000 end
      on conflict (academy_id, id) do nothing;
    if jsonb_path_exists(ticks, '$[*] ? (@.hurts == true || @.takesBack == true)') then
      perform set_config('pedastance.academy', link.academy_id::text, true);
      update student set changed = this_change() where academy_id = link.academy_id and id = link.student_id;
    end if;
    return case when exists (
      select from jsonb_array_elements(ticks) as each
      where not exists (select from card_tick where card_tick.academy_id = link.academy_id
        and card_tick.id = (each ->> 'id')::uuid)) then 'full' else 'taken' end;
  end
  $$;

alter function card_ticks_take(bytea, jsonb, timestamptz) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function card_ticks_take(bytea, jsonb, timestamptz) from public;
grant execute on function card_ticks_take(bytea, jsonb, timestamptz) to pedastance_app;
