-- Sessions that can be told apart and ended one by one, and what is counted at the door.

alter table session
  add column id uuid not null default gen_random_uuid(),
  add column last_used_at timestamptz not null default now(),
  add column device text not null default '' check (char_length(device) <= 80),
  -- Of a session that ended nothing is kept.
  drop column revoked_at;
create unique index session_by_id on session (id);
create index session_by_end on session (expires_at);

-- Tries at the door. A row a key, so that a try is counted and judged in one statement; the key is a hash, so that
-- neither an address nor a place can be read from it.
drop table sign_in_try;
create table door_try (
  key char(64) primary key,
  tries integer not null,
  at timestamptz not null default now(),
  next_at timestamptz not null default now()
);
create index door_try_by_time on door_try (at);
grant select, insert, update, delete on door_try to fika_app;

-- What a request was for, where the books do not keep it themselves: the same request with other content is refused.
create table request_made (
  studio_id uuid not null references studio (studio_id),
  request_id uuid not null,
  payload_hash char(64) not null,
  at timestamptz not null default now(),
  primary key (studio_id, request_id)
);
select make_tenant('request_made', 'select, insert');
