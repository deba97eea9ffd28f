<?php

declare(strict_types=1);

/** Forgets a learner of the demo as its lead does, in a shop whose environment is set: forget.php ID. */
use App\People\ForgetPerson;
use App\People\User;
use Illuminate\Contracts\Console\Kernel;

require 'vendor/autoload.php';
$app = require 'bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$person = User::query()->findOrFail((int) $argv[1]);
$person->update(['active' => false]);
app(ForgetPerson::class)($person, User::query()->where('email', 'lead@millstep.example')->firstOrFail(), '2468');
