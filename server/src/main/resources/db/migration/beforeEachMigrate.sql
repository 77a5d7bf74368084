-- Views of a colleague's own people are made anew after a migration; they do not stand in its way.
drop schema if exists own_offered cascade;
drop schema if exists own cascade;
