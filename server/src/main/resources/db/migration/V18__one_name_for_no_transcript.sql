-- Messages and recordings have one word for what could not be written down.
update message set transcript = 'FAILED' where transcript = 'NONE';
