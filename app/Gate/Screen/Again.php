<?php

declare(strict_types=1);

namespace App\Gate\Screen;

use App\Support\PowerLock;
use PDO;

/**
 * A screen asks every second, and mostly nothing has changed. Then it is told what was decided a moment ago: every fact is looked at again
 * in the database, under the lock of a decision where a turn is open, and only where all of them are to the letter the same, and the
 * decision is not older than two and a half seconds, is it not made anew. What happens is seen at once; what runs out by the clock alone
 * (hours, a turn that nobody confirmed) is looked ahead for, and a day that ends is late by that much at most.
 *
 * Needs nothing of the framework, so that it costs next to nothing; whatever it is not sure of it leaves to the whole application.
 */
final class Again
{
    public const FLAGS = JSON_HEX_TAG | JSON_HEX_APOS | JSON_HEX_AMP | JSON_HEX_QUOT;

    public const SECONDS = 2.5;

    /** A token is seen by the whole application this often, so that it knows when each device was there last. */
    private const SEEN_EVERY_S = 30;

    /** As often a minute as the whole application allows. */
    private const MOST = 600;

    /** @param  string|null  $pretended  a test's instant */
    public function __construct(private readonly PDO $database, private readonly ?string $pretended = null)
    {
    }

    /** @return string|null the answer as JSON; null where the whole application has to say */
    public function answer(string $authorization, string $nonce, string $language): ?string
    {
        if (preg_match('/^Bearer (\d{1,18})\|(\S+)$/D', $authorization, $bearer) !== 1 || strlen($nonce) > 40
            || preg_match('/^[\x20-\x7e]*$/D', $nonce) !== 1) {
            return null;
        }
        [, $token, $secret] = $bearer;
        $kept = KeptAnswers::of((int) $token, $language);
        if ($kept === null || KeptAnswers::count((int) $token) > self::MOST) {
            return null;
        }
        [$device, $facts] = $this->ask($token, $kept['machine'], $kept['on']);
        $split = KeptAnswers::split($facts);
        if (! $this->isGood($device, $secret, $kept['machine'])) {
            return null;
        }
        if ($split === null || $split[1] !== $kept['facts']) {
            return null;
        }
        $age = (float) (new \DateTimeImmutable($split[0]))->format('U.u') - (float) (new \DateTimeImmutable($kept['now']))->format('U.u');
        if ($age < 0 || $age > self::SECONDS) {
            return null;
        }
        $at = $this->pretended === null ? (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('Y-m-d\TH:i:s.v\Z')
            : (new \DateTimeImmutable($this->pretended))->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s.v\Z');

        return strtr($kept['body'], [
            "\"{$kept['marks'][0]}\"" => json_encode($nonce === '' ? null : $nonce, JSON_THROW_ON_ERROR | self::FLAGS),
            $kept['marks'][1] => $at,
        ]);
    }

    /**
     * A turn is looked at under the locks of a decision, which end with this one question: whoever takes something away has done so
     * before, or comes after.
     *
     * @return array{string, string} what is known of the token, and the facts of the machine
     */
    private function ask(string $token, int $machine, bool $on): array
    {
        $asked = $this->database->prepare('SELECT device, moment FROM gate_again(?, ?, ?, ?, ?, ?, ?)');
        $asked->execute([$token, ...PowerLock::ofMachine($machine), $this->pretended, $on ? 't' : 'f']);
        $said = $asked->fetch(PDO::FETCH_NUM);

        return is_array($said) ? [self::text($said[0]), self::text($said[1])] : ['', ''];
    }

    /** Whether a token is what Device::carrying takes, with nothing to be written down about it. */
    private function isGood(string $said, string $secret, int $machine): bool
    {
        /** @var array{device: array{machine_id: int, last_seen_at: string|null},
         *     token: array{token: string, expires_at: string|null, first_used_at: string|null, replaced_at: string|null}}|null $found */
        $found = json_decode($said, true);
        if ($found === null) {
            return false;
        }
        [$device, $token] = [$found['device'], $found['token']];
        $now = (new \DateTimeImmutable($this->pretended ?? 'now'))->getTimestamp();

        return hash_equals($token['token'], hash('sha256', $secret)) && $device['machine_id'] === $machine
            && $token['replaced_at'] === null && $token['first_used_at'] !== null
            && ($token['expires_at'] === null || (new \DateTimeImmutable($token['expires_at']))->getTimestamp() > $now)
            && $device['last_seen_at'] !== null
            && (new \DateTimeImmutable($device['last_seen_at']))->getTimestamp() + self::SEEN_EVERY_S > $now;
    }

    private static function text(mixed $said): string
    {
        return is_string($said) ? $said : '';
    }
}
