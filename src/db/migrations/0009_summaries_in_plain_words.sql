-- Summaries of movements in the words of movement version 4; the documents themselves are migrated when they are read.
UPDATE "movements" SET "summary" = ("summary" - 'lead') || jsonb_build_object(
	'pacedBy', CASE "summary"->>'lead' WHEN 'own' THEN 'own-pace' ELSE "summary"->>'lead' END,
	'sides', CASE "summary"->>'sides'
		WHEN 'none' THEN 'together'
		WHEN 'alternate' THEN 'alternating'
		WHEN 'in-turn' THEN 'one-then-other'
		WHEN 'each-way' THEN 'both-directions'
		ELSE "summary"->>'sides'
	END
) WHERE "summary" ? 'lead';
