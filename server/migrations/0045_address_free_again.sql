-- An address whose access was ended may begin an academy, or be invited again: the ended account keeps its name in the log, and
-- its address is nobody's key any more.
alter table instructor drop constraint instructor_email_unique;
create unique index instructor_email_unique on instructor (email) where ended_at is null;
