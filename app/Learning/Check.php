<?php

declare(strict_types=1);

namespace App\Learning;

use App\Language\SpeaksLanguages;
use App\Support\Given;
use Illuminate\Database\Eloquent\Model;
use MillStep\Core\Border\Fields;
use MillStep\Core\Learning\Check\QuestionBank;

/**
 * One version of a safety check's question bank.
 *
 * @property int $id
 * @property string $code
 * @property int $version
 * @property string $title
 * @property int $pass_mark_percent
 * @property list<array<string, mixed>> $questions
 * @property array<string, int> $draw  of each kind, for papers drawn by kind
 * @property array<string, mixed>|null $paper  what makes a balanced paper
 * @property int|null $minutes  how long a paper may take
 */
final class Check extends Model
{
    use SpeaksLanguages;

    protected $table = 'learning_checks';

    protected $guarded = [];

    public static function spoken(): array
    {
        return ['title', 'questions'];
    }

    protected function casts(): array
    {
        return ['questions' => 'array', 'draw' => 'array', 'paper' => 'array'];
    }

    /** @return array<string, mixed> what is asked, as it was written: a paper of this number is this one for good */
    public function asked(): array
    {
        $raw = $this->getAttributes();

        return [
            ...array_map(
                static fn (string $key): mixed => json_decode(Given::text($raw[$key]), true),
                ['questions' => 'questions', 'draw' => 'draw'],
            ),
            'pass_mark_percent' => $this->pass_mark_percent,
            ...$this->paper === null ? [] : ['paper' => $this->paper],
            ...$this->minutes === null ? [] : ['minutes' => $this->minutes],
        ];
    }

    public static function current(string $code): self
    {
        return self::query()->where('code', $code)->latest('version')->firstOrFail();
    }

    /** @throws \MillStep\Core\Border\InvalidInput when the bank is not readable */
    public function bank(): QuestionBank
    {
        return QuestionBank::fromFields(Fields::of([
            'questions' => $this->questions,
            'draw' => $this->draw,
            'pass_mark_percent' => $this->pass_mark_percent,
            ...$this->paper === null ? [] : ['paper' => $this->paper],
        ]));
    }
}
