-- Whether the store is backed up once a day.
alter table settings add column daily_backup boolean not null default false;
