<?php

declare(strict_types=1);

namespace App\Measure;

use App\Language\Speech;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Measure\FittedSize;
use MillStep\Core\Measure\Size;

/** Lengths of a request as they were typed (3/8, 6.8, 15 thou), understood by the core in the writer's units. */
final readonly class LengthInput
{
    /**
     * @param  Request|array<string, mixed>  $given
     * @param  'mm'|'in'  $units  of a length that names none
     */
    public function __construct(private Request|array $given, public string $units)
    {
    }

    /** @throws ValidationException beside the field that cannot be understood */
    public function length(string $field): float
    {
        try {
            return Size::length($this->text($field), $this->units)->diameter->inMm();
        } catch (InvalidInput $fault) {
            throw ValidationException::withMessages([$field => Speech::say($fault->says)]);
        }
    }

    /** @throws ValidationException beside the field that is no hole: a size, with the class of its limits where one is said */
    public function hole(string $field): FittedSize
    {
        try {
            return FittedSize::parse($this->text($field), $this->units);
        } catch (CoreException $fault) {
            throw ValidationException::withMessages([$field => Speech::say($fault->says)]);
        }
    }

    /** @throws ValidationException */
    public function lengthOrNull(string $field): ?float
    {
        return $this->text($field) === '' ? null : $this->length($field);
    }

    /**
     * A coordinate, which may be 0 or lie on the other side.
     *
     * @throws ValidationException
     */
    public function coordinate(string $field): float
    {
        $text = $this->text($field);
        $negative = preg_match('/^[-−–]/u', $text) === 1;
        $bare = (string) preg_replace('/^[-−–+]\s*/u', '', $text);
        if (preg_match('/^0+(?:[.,]0*)?$/', $bare) === 1) {
            return 0.0;
        }
        $length = (new self([$field => $bare], $this->units))->length($field);

        return $negative ? -$length : $length;
    }

    public function text(string $field): string
    {
        $value = is_array($this->given) ? ($this->given[$field] ?? '') : $this->given->input($field, '');

        return is_scalar($value) ? trim((string) $value) : '';
    }
}
