UPDATE "settings" SET "content" = '{"provenAfter": 2, "learning": {"holds": true, "windows": true, "since": null}}'::jsonb || "content";
