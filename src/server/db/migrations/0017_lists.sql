DROP INDEX "batches_of_formula";--> statement-breakpoint
DROP INDEX "trials_of_formula";--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "pins" jsonb GENERATED ALWAYS AS (jsonb_path_query_array(content, '$.additions[*].ingredientId ? (@ starts with "made-")')) STORED;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "pins" jsonb GENERATED ALWAYS AS (jsonb_path_query_array(content, '$.additions[*].ingredientId ? (@ starts with "made-")')) STORED;--> statement-breakpoint
CREATE INDEX "formulas_of_place" ON "formulas" USING btree ("shelf","created_at","id");--> statement-breakpoint
CREATE INDEX "formulas_that_pin" ON "formulas" USING btree ("id") WHERE pins <> '[]';--> statement-breakpoint
CREATE INDEX "events_that_decide" ON "trial_events" USING btree ("trial_id") WHERE event->>'kind' in ('tasted', 'added', 'planned', 'corrected');--> statement-breakpoint
CREATE INDEX "trials_by_age" ON "trials" USING btree ("created_at","id");--> statement-breakpoint
CREATE INDEX "versions_that_pin" ON "versions" USING btree ("formula_id") WHERE pins <> '[]';--> statement-breakpoint
CREATE INDEX "versions_by_age" ON "versions" USING btree ("created_at");--> statement-breakpoint
CREATE INDEX "batches_of_formula" ON "batches" USING btree ("formula_id","created_at");--> statement-breakpoint
CREATE INDEX "trials_of_formula" ON "trials" USING btree ("formula_id","created_at");