<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\Password;

/** The first person of a real shop: a lead, who is sent a letter to set a password. */
final class AddLead extends Command
{
    protected $signature = 'people:add-lead {name} {email} {--pin= : signing PIN, at least four digits}';

    protected $description = 'Add a shop lead and mail them a link to set their password';

    public function handle(): int
    {
        ['email' => $email, 'name' => $name] = array_map(strval(...), array_filter($this->arguments(), is_string(...)));
        $pin = is_string($this->option('pin')) ? $this->option('pin') : '';
        $email = User::address($email);
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false || User::query()->where('email', $email)->exists()) {
            $this->error("\"$email\" is no mail address, or somebody has it already.");

            return self::FAILURE;
        }
        if ($pin !== '' && preg_match('/^\d{4,12}$/', $pin) !== 1) {
            $this->error('The PIN must be 4 to 12 digits.');

            return self::FAILURE;
        }
        User::query()->create([
            'name' => $name,
            'email' => $email,
            'role' => Role::Lead,
            'pin_hash' => $pin === '' ? null : $pin,
        ]);
        Password::sendResetLink(['email' => $email]);
        $this->info("$email has been sent a link to set a password.");

        return self::SUCCESS;
    }
}
