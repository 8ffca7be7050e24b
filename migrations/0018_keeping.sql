-- What is known of back-ups. Whoever starts Fika makes them and writes them down here; the app only reads, and wishes.
-- They are of the whole house, so they stand outside the studios.
create table backup_made (
  file text primary key,
  at timestamptz not null,
  bytes bigint not null,
  took_ms integer not null,
  -- When it was restored beside the database and held the same.
  proved_at timestamptz
);
-- The last trouble with them; empty where the last one was good.
create table backup_state (
  one boolean primary key default true check (one),
  trouble text not null default '',
  tried_at timestamptz,
  wished_at timestamptz
);
insert into backup_state default values;
grant select on backup_made, backup_state, schema_migration to fika_app;
grant update (wished_at) on backup_state to fika_app;
