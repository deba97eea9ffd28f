<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Message;

/** The language of whoever is asking: what the page they are on speaks, else what they chose, else English. */
final class Speech
{
    public static function of(Request $request): Sentences
    {
        $person = $request->user();
        $known = $person instanceof SpokenTo ? $person : null;
        $asked = $request->header('Accept-Language') === null ? null : $request->getPreferredLanguage(Sentences::LANGUAGES);

        return Sentences::in($asked ?? $known?->speaks() ?? Sentences::LANGUAGES[0], $known?->measuresIn() ?? 'mm');
    }

    /** To whom a letter goes. */
    public static function to(SpokenTo $person): Sentences
    {
        return Sentences::in($person->speaks(), $person->measuresIn());
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function say(Message|string $code, array $terms = []): string
    {
        $message = is_string($code) ? Message::of($code, $terms) : $code;

        return self::of(app(Request::class))->say($message);
    }

    /**
     * What is wrong with a field, under `fault` in the locale files.
     *
     * @param  array<string, string|int|float|Message|list<string|Message>>  $terms
     */
    public static function fault(string $field, string $fault, array $terms = []): ValidationException
    {
        return ValidationException::withMessages([$field => self::say("fault.$fault", $terms)]);
    }
}
