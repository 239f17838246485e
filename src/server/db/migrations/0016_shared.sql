CREATE TABLE "applied_shared" (
	"key" text PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shared_revisions" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer NOT NULL,
	CONSTRAINT "shared_revisions_kind_id_pk" PRIMARY KEY("kind","id")
);
