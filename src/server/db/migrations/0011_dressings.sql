CREATE TABLE "dressings" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TRIGGER dressings_only_grow BEFORE UPDATE OR DELETE ON "dressings" FOR EACH ROW EXECUTE FUNCTION refuse_change();
