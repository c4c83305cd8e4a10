-- Readings of version 2: a line's times are `plannedStart`, `actualStart` and `actualEnd`, what is said beside the plan is an
-- ad-lib, and what the evidence knows of its sound are distances.
ALTER TABLE "readings" RENAME COLUMN "remarks" TO "ad_libs";--> statement-breakpoint
UPDATE "readings" SET
	"corrections" = COALESCE((
		SELECT jsonb_object_agg("cue", ("set" - 'saidAtSeconds') || jsonb_build_object('actualStart', "set"->'saidAtSeconds'))
		FROM jsonb_each("corrections") AS "each"("cue", "set")
	), '{}'),
	"cuts" = CASE WHEN jsonb_typeof("cuts") = 'array' THEN COALESCE((
		SELECT jsonb_agg(CASE "cut"->>'reason' WHEN 'remark' THEN "cut" || '{"reason":"ad-lib"}' ELSE "cut" END ORDER BY "place")
		FROM jsonb_array_elements("cuts") WITH ORDINALITY AS "each"("cut", "place")
	), '[]') ELSE "cuts" END,
	"reading" = ("reading" - 'remarks') || jsonb_build_object(
		'version', 2,
		'adLibs', "reading"->'remarks',
		'cues', COALESCE((
			SELECT jsonb_agg(("cue" - 'plannedSeconds' - 'saidAtSeconds' - 'endSeconds') || jsonb_build_object(
				'plannedStart', "cue"->'plannedSeconds',
				'actualStart', "cue"->'saidAtSeconds',
				'actualEnd', "cue"->'endSeconds'
			) ORDER BY "place")
			FROM jsonb_array_elements("reading"->'cues') WITH ORDINALITY AS "each"("cue", "place")
		), '[]'),
		'totals', ("reading"->'totals') - 'plannedSeconds' - 'remarks' - 'breathTakenSeconds' - 'driftMiddleSeconds'
			|| jsonb_build_object(
				'plannedRuntimeSeconds', "reading"->'totals'->'plannedSeconds',
				'adLibs', "reading"->'totals'->'remarks',
				'breathActualSeconds', "reading"->'totals'->'breathTakenSeconds',
				'driftMedianSeconds', "reading"->'totals'->'driftMiddleSeconds'
			)
	)
WHERE "reading"->>'version' = '1';--> statement-breakpoint
UPDATE "takes" SET "evidence" = ("evidence" - 'likeness') || jsonb_build_object('distances', "evidence"->'likeness')
WHERE "evidence" ? 'likeness';
