<?php

declare(strict_types=1);

namespace App\Policy;

use App\Language\Sentences;
use Illuminate\Database\Eloquent\Model;

/**
 * What is set once for the whole shop and is no rule: its name, and the language in which it greets.
 *
 * @property int $id
 * @property string $name
 * @property string $language
 */
final class Shop extends Model
{
    private const ROW = 1;

    public $incrementing = false;

    protected $table = 'workshop_shop';

    protected $guarded = [];

    public static function named(string $name, string $language): self
    {
        return self::query()->updateOrCreate(['id' => self::ROW], ['name' => $name, 'language' => $language]);
    }

    /** @return array{name: string, language: string} also where nothing was set yet */
    public static function here(): array
    {
        $shop = self::query()->find(self::ROW);

        return ['name' => $shop->name ?? '', 'language' => $shop->language ?? Sentences::LANGUAGES[0]];
    }
}
