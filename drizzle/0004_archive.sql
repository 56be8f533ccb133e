-- Ended jobs get their part and their end into the summary: every one is worked out anew.
UPDATE `job_summaries` SET `stale` = 1, `on_floor` = 1;
