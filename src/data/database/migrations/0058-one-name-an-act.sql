-- An act has one name, on the page, on the wire and here. Only presses sent again ask for it.
UPDATE press SET action = 'take-parts' WHERE action = 'take';
UPDATE press SET action = 'step-skipped' WHERE action = 'step-skip';
UPDATE press SET action = 'step-undone' WHERE action = 'step-undo';
