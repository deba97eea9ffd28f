<?php

declare(strict_types=1);

use App\People\Role;

it('lets everybody listen only to what is theirs', function (): void {
    at_a_gate($this, 0);
    $listens = function (array|App\People\User $who, string $channel): int {
        app('auth')->forgetGuards();
        $this->flushHeaders();
        $who instanceof App\People\User ? $this->actingAs($who) : ($who === [] ? null : $this->withToken($who[0]));

        return $this->getJson("/api/live/channels/$channel")->status();
    };
    $own = "person-{$this->learner->id}";
    expect($listens([], 'shop'))
        ->toBe(403)
        ->and($listens($this->learner, 'shop'))
        ->toBe(403)
        ->and($listens($this->learner, $own))
        ->toBe(204)
        ->and($listens($this->person(), $own))
        ->toBe(403)
        ->and($listens($this->by, 'shop'))
        ->toBe(204)
        ->and($listens($this->person(Role::Auditor), 'shop'))
        ->toBe(204)
        ->and($listens([$this->token], 'machine-bench-drill'))
        ->toBe(204)
        ->and($listens([$this->token], 'machine-floor-drill'))
        ->toBe(403)
        ->and($listens([$this->token], 'shop'))
        ->toBe(403)
        ->and($listens(['1|wrong'], 'machine-bench-drill'))->toBe(403)->and($listens($this->by, 'machine-bench-drill'))->toBe(403);
});
