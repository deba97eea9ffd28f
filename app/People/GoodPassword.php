<?php

declare(strict_types=1);

namespace App\People;

use App\Language\Speech;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use MillStep\Core\Border\Message;

/**
 * Long enough, and none that is tried first: not a common one, however its letters are written as digits or what is
 * hung on it, not one's own name or address, not a row of the keyboard or the same thing over and over.
 */
final class GoodPassword implements ValidationRule
{
    public const LEAST = 10;

    private const ROWS = [
        '01234567890123456789', '98765432109876543210', 'qwertyuiopasdfghjklzxcvbnm', 'qwertzuiopasdfghjklyxcvbnm',
        'azertyuiopqsdfghjklmwxcvbn', 'abcdefghijklmnopqrstuvwxyz', 'zyxwvutsrqponmlkjihgfedcba',
        '1qaz2wsx3edc4rfv5tgb6yhn', 'q1w2e3r4t5y6u7i8o9p0', '1q2w3e4r5t6y7u8i9o0p',
    ];

    /** @var list<string> */
    private readonly array $ofThem;

    /** @param  mixed  ...$ofThem  name and address of whoever it is for, as they came in: what is no text counts for nothing */
    public function __construct(mixed ...$ofThem)
    {
        $this->ofThem = array_values(array_filter($ofThem, is_string(...)));
    }

    public function validate(string $attribute, #[\SensitiveParameter] mixed $value, Closure $fail): void
    {
        $why = is_string($value) ? $this->fault($value) : Message::of('fault.password.no_text');
        if ($why !== null) {
            $fail(Speech::say($why));
        }
    }

    /** What is against it, or null. */
    public function fault(#[\SensitiveParameter] string $password): ?Message
    {
        if (mb_strlen($password) < self::LEAST) {
            return Message::of('fault.password.short', ['least' => self::LEAST]);
        }
        if (mb_strlen($password) > 255) {
            return Message::of('fault.password.long', ['most' => 255]);
        }
        $plain = mb_strtolower($password);
        // What is hung on before and behind goes first, then digits that stand for letters.
        $inside = (string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $plain);
        $letters = strtr(
            $inside,
            ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i'],
        );
        $bare = (string) preg_replace('/[^a-z]+/', '', $letters);

        return match (true) {
            count(array_unique(mb_str_split($plain))) < 5 => Message::of('fault.password.few_characters'),
            preg_match('/^(.{1,5})\1+.{0,4}$/u', $plain) === 1 => Message::of('fault.password.repeats'),
            $this->isRow($plain) || ($inside !== '' && $this->isRow($inside)) => Message::of('fault.password.row'),
            $this->isCommon($plain) || $this->isCommon($bare) || $this->isCommon($inside) => Message::of('fault.password.common'),
            $this->isTheirs($bare) => Message::of('fault.password.own_name'),
            default => null,
        };
    }

    private function isRow(string $text): bool
    {
        foreach (self::ROWS as $row) {
            if (mb_strlen($text) >= 4 && str_contains($row.$row, $text)) {
                return true;
            }
        }

        return false;
    }

    private function isCommon(string $text): bool
    {
        /** @var array<string, int>|null $common */
        static $common = null;
        $common ??= array_flip(file(__DIR__.'/common-passwords.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []);

        return isset($common[$text]) || isset($common[(string) preg_replace('/^(.+)\1$/', '$1', $text)]);
    }

    private function isTheirs(string $bare): bool
    {
        foreach ($this->ofThem as $own) {
            foreach (preg_split('/[^a-z]+/', mb_strtolower($own)) ?: [] as $part) {
                // What is left beside one's own name must be a password of its own.
                if (strlen($part) >= 4 && str_contains($bare, $part) && strlen(str_replace($part, '', $bare)) < 5) {
                    return true;
                }
            }
        }

        return false;
    }
}
