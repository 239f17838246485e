CREATE TABLE "panel_answers" (
	"place" bigserial PRIMARY KEY NOT NULL,
	"id" text NOT NULL,
	"panel_id" text NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "panel_answers_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "panels" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "panel_answers" ADD CONSTRAINT "panel_answers_panel_id_panels_id_fk" FOREIGN KEY ("panel_id") REFERENCES "public"."panels"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "answers_of_panel" ON "panel_answers" USING btree ("panel_id");--> statement-breakpoint
CREATE TRIGGER panels_only_grow BEFORE UPDATE OR DELETE ON "panels" FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
CREATE TRIGGER answers_only_grow BEFORE UPDATE OR DELETE ON "panel_answers" FOR EACH ROW EXECUTE FUNCTION refuse_change();
