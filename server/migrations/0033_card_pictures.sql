-- Before and after on a card: two pictures of the ground with the feet, laid flat, where the student said yes to sharing them.

alter table consent
  add column sharing boolean not null default false,
  add constraint consent_sharing_photos check (photos or not sharing),
  -- Never a minor's: a guardian cannot say yes to it.
  add constraint consent_sharing_own check (given_by = 'student' or not sharing);
alter table consent alter column sharing drop default;

-- A day and a JPEG in base64, which begins as one does.
create function card_picture_is_sound(picture jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(jsonb_typeof(picture) = 'object'
      and (picture ->> 'on') ~ '^20\d\d-\d\d-\d\d$'
      and (picture ->> 'jpeg') ~ '^/9j/[A-Za-z0-9+/]+={0,2}$'
      and octet_length(picture ->> 'jpeg') between 100 and 80000, false)
  $$;

create function card_pictures_are_sound(pictures jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(jsonb_typeof(pictures) = 'object'
      and card_picture_is_sound(pictures -> 'earlier') and card_picture_is_sound(pictures -> 'later')
      and jsonb_typeof(pictures -> 'measures') = 'array' and jsonb_array_length(pictures -> 'measures') <= 6
      and not exists (
        select from jsonb_array_elements(pictures -> 'measures') as each
        where not coalesce(char_length(each ->> 'name') between 1 and 60
          and char_length(each ->> 'earlier') between 1 and 24
          and char_length(each ->> 'later') between 1 and 24, false)), false)
  $$;

alter table card_link add column pictures jsonb
  constraint card_link_pictures check (pictures is null or card_pictures_are_sound(pictures));
grant update (pictures) on card_link to pedastance_app;

-- The card of a link that is open, and whether it has pictures.
drop function card_open(bytea, date);
create function card_open(wanted bytea, today date)
  returns table (contents jsonb, pictured boolean, changed_on date, ends_on date, ticked jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select link.contents, link.pictures is not null, link.changed_on, link.ends_on, (
      select coalesce(jsonb_agg(jsonb_build_object('on', ticked_on, 'rounds', rounds, 'hurts', hurts) order by ticked_on), '[]')
      from (
        select ticked_on, sum(rounds) as rounds, bool_or(hurts) as hurts from card_tick
        where card_tick.academy_id = link.academy_id and card_tick.card_id = link.card_id
        group by ticked_on order by ticked_on desc limit 200
      ) as days)
    from card_link as link
    where link.token_hash = wanted and link.revoked_at is null and link.ends_on >= today
  $$;

-- The pictures of a link that is open; no row for any other.
create function card_pictures(wanted bytea, today date) returns table (pictures jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select link.pictures from card_link as link
    where link.token_hash = wanted and link.revoked_at is null and link.ends_on >= today
  $$;

grant create on schema public to pedastance_doorman;
do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array['card_open(bytea, date)', 'card_pictures(bytea, date)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
    execute format('grant execute on function %s to pedastance_app', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;
