<?php

declare(strict_types=1);

namespace App\Learning;

use Illuminate\Database\Eloquent\Model;
use MillStep\Core\Border\Fields;
use MillStep\Core\Learning\QuestionBank;

/**
 * One version of a safety check's question bank.
 *
 * @property int $id
 * @property string $code
 * @property int $version
 * @property string $title
 * @property int $pass_mark_percent
 * @property list<array<string, mixed>> $questions
 * @property array<string, int> $draw
 */
final class Check extends Model
{
    protected $table = 'learning_checks';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['questions' => 'array', 'draw' => 'array'];
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
        ]));
    }
}
