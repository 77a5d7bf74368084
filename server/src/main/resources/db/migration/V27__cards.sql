-- A card above the letter of a standing mailing: {"picture", "words": [{"text", "left", …}, …]}.
alter table occasion
  add column card jsonb check (jsonb_typeof(card) = 'object');
