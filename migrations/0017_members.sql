-- People of a studio: who decides, who works and who only looks on; how they come in, and what a client is shown.

alter table account_studio
  add column role text not null default 'owner' check (role in ('owner', 'maker', 'visitor')),
  add column since timestamptz not null default now(),
  -- Which of several studios was open last is the one that is opened next.
  add column opened_at timestamptz not null default now(),
  -- Who has left keeps their name in the journal; the row stays.
  add column ended_at timestamptz;
alter table account_studio alter column role drop default;

-- What a transaction may do is read from account_studio when it begins, once, and stands in app.role. 'studio' is the
-- studio itself: a seed, a command, somebody who is just coming in.
create function may_work() returns boolean language sql stable as
  $$ select coalesce(current_setting('app.role', true), '') in ('studio', 'owner', 'maker') $$;
create function may_decide() returns boolean language sql stable as
  $$ select coalesce(current_setting('app.role', true), '') in ('studio', 'owner') $$;

-- Makes a table one that only some may write, besides being a studio's own: `by` is may_work or may_decide.
create function only_by(name text, by text) returns void
language plpgsql as $$
declare command text;
begin
  foreach command in array array['insert', 'update', 'delete'] loop
    execute format('drop policy if exists %I on %I', command || '_by_right', name);
    execute format(
      'create policy %I on %I as restrictive for %s %s', command || '_by_right', name, command,
      case command
        when 'insert' then format('with check ((select %I()))', by)
        when 'update' then format('using ((select %I())) with check ((select %I()))', by, by)
        else format('using ((select %I()))', by)
      end);
  end loop;
end $$;

create or replace function make_tenant(name text, rights text default 'select, insert, update, delete') returns void
language plpgsql as $$
begin
  execute format('alter table %I enable row level security', name);
  execute format('alter table %I force row level security', name);
  execute format(
    'create policy of_studio on %I using (studio_id = (select current_setting(''app.studio_id'')::uuid))', name);
  execute format('grant %s on %I to fika_app', rights, name);
  perform only_by(name, 'may_work');
end $$;

do $$
declare t record;
begin
  for t in select relname from pg_class
    where relnamespace = 'public'::regnamespace and relkind in ('r', 'p') and relforcerowsecurity
  loop
    perform only_by(t.relname, 'may_work');
  end loop;
end $$;

-- The rules of the house are an owner's; what is learned at work (ratios, amounts, bands) is anybody's who works.
create function owner_decides() returns trigger language plpgsql as $$
begin
  if not may_decide() and (new.name, new.currency, new.time_zone, new.units, new.water_school, new.water_share)
    is distinct from (old.name, old.currency, old.time_zone, old.units, old.water_school, old.water_share)
  then
    raise exception 'only an owner changes the rules of the house' using errcode = 'FK403';
  end if;
  return new;
end $$;
create trigger owner_decides before update on studio for each row execute function owner_decides();

-- Roles are given by owners, nobody gives one to themselves, and no studio is left without an owner.
create function guard_members() returns trigger language plpgsql as $$
begin
  if tg_op = 'UPDATE' and (new.role, new.ended_at) is not distinct from (old.role, old.ended_at) then
    return new;
  end if;
  if not may_decide() then
    raise exception 'only an owner decides who is in a studio' using errcode = 'FK403';
  end if;
  if tg_op = 'UPDATE' and old.role = 'owner' and old.ended_at is null
    and (new.role <> 'owner' or new.ended_at is not null)
  then
    -- Two owners who leave at once wait for one another here.
    perform 1 from account_studio where studio_id = old.studio_id and role = 'owner' and ended_at is null for update;
    if not exists (select from account_studio where studio_id = old.studio_id and account_id <> old.account_id
      and role = 'owner' and ended_at is null)
    then
      raise exception 'a studio keeps an owner' using errcode = 'FK409';
    end if;
  end if;
  return new;
end $$;
create trigger guard_members before insert or update on account_studio
  for each row execute function guard_members();
revoke delete on account_studio from fika_app;

-- An invitation: a link that lets one person in, once, within its days. Of the link only a hash is kept.
create table invitation (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  role text not null check (role in ('owner', 'maker', 'visitor')),
  for_whom text not null default '' check (char_length(for_whom) <= 120),
  token_hash char(64) not null,
  by uuid references account (id),
  made_at timestamptz not null default now(),
  ends_at timestamptz not null,
  used_by uuid references account (id),
  used_at timestamptz,
  withdrawn_at timestamptz,
  primary key (studio_id, id),
  unique (studio_id, token_hash)
);
select make_tenant('invitation', 'select, insert, update');
select only_by('invitation', 'may_decide');

-- What a client is shown by a link: the sketches of one work, for some days.
create table work_link (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  work_id uuid not null,
  for_whom text not null default '' check (char_length(for_whom) <= 120),
  token_hash char(64) not null,
  by uuid references account (id),
  made_at timestamptz not null default now(),
  ends_at timestamptz not null,
  ended_at timestamptz,
  primary key (studio_id, id),
  unique (studio_id, token_hash),
  foreign key (studio_id, work_id) references work (studio_id, id)
);
select make_tenant('work_link', 'select, insert, update');
