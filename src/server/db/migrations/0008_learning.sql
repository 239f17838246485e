UPDATE "settings" SET "content" = '{"learning": {"holds": true, "windows": true, "since": null}}'::jsonb || "content";
