<?php

declare(strict_types=1);

it("answers a badge in its person's language, on a screen that speaks the machine's", function (): void {
    at_a_gate($this, 1);
    $this->machine->update(['language' => 'es']);
    $this->by->update(['language' => 'es']);
    expect(screen($this)->json('machine.language'))->toBe('es')
        ->and(hold_badge($this, 'LEARNER')->json('language'))->toBe('en')
        ->and(screen($this)->json('last_read.language'))->toBe('en')
        ->and(hold_badge($this, 'TEACHER')->json('language'))->toBe('es')
        ->and(hold_badge($this, 'NOBODY')->json('language'))->toBeNull();
});
