-- Accounts, sessions and studios. Accounts and sessions stand outside the studios (somebody must be able to sign in
-- before a studio is known), so they carry no studio_id and no row-level security; all else does.

create table account (
  id uuid primary key,
  email text not null,
  email_key text generated always as (lower(btrim(email))) stored,
  name text not null check (char_length(btrim(name)) between 1 and 120),
  password_hash text,
  created_at timestamptz not null default now(),
  unique (email_key)
);

create table studio (
  studio_id uuid primary key,
  name text not null check (char_length(btrim(name)) between 1 and 120),
  currency char(3) not null default 'EUR',
  time_zone text not null default 'UTC',
  units text not null default 'metric' check (units in ('metric', 'us')),
  water_school text not null default 'paint-30' check (water_school in ('paint-30', 'thinned-40', 'share', 'binder')),
  demo boolean not null default false,
  created_at timestamptz not null default now()
);

-- Which account works in which studio; read at sign-in, before a studio is set.
create table account_studio (
  studio_id uuid not null references studio (studio_id),
  account_id uuid not null references account (id),
  primary key (studio_id, account_id)
);
create index account_studio_by_account on account_studio (account_id);

create table session (
  token_hash text primary key,
  account_id uuid not null references account (id) on delete cascade,
  studio_id uuid not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  revoked_at timestamptz,
  foreign key (studio_id, account_id) references account_studio (studio_id, account_id)
);
create index session_by_account on session (account_id);

-- Failed tries to sign in, for the rate limit; rows older than a day are swept at each try.
create table sign_in_try (
  id bigint generated always as identity primary key,
  key text not null,
  at timestamptz not null default now()
);
create index sign_in_try_by_key on sign_in_try (key, at);

-- Makes a table a studio's own: row-level security that even the owner obeys, and what the app may do with it.
create function make_tenant(name text, rights text default 'select, insert, update, delete') returns void
language plpgsql as $$
begin
  execute format('alter table %I enable row level security', name);
  execute format('alter table %I force row level security', name);
  execute format(
    'create policy of_studio on %I using (studio_id = (select current_setting(''app.studio_id'')::uuid))', name);
  execute format('grant %s on %I to fika_app', rights, name);
end $$;

select make_tenant('studio', 'select, insert, update');
grant select, insert, update, delete on account, account_studio, session, sign_in_try to fika_app;
