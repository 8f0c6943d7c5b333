-- What a revision did, as codes and values (server/plan/Told.java); the web client has the words. What was
-- said in words before is kept as it was said.
alter table plan_revision add column told jsonb;
update plan_revision set told = jsonb_build_object(
  'how', 'SAID', 'name', null, 'number', null, 'words', words, 'changes', jsonb_build_array());
alter table plan_revision alter column told set not null;
alter table plan_revision drop column words;
