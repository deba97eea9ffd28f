<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\Sentences;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\MaterialTable;

/**
 * A material of the shop's own, beside those of the core's table or in the place of one.
 *
 * @property int $id
 * @property string $key
 * @property array<string, mixed> $row the shape that the core's Material reads
 */
final class MaterialRow extends Model
{
    protected $table = 'workshop_materials';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['row' => 'array'];
    }

    public function getRouteKeyName(): string
    {
        return 'key';
    }

    /**
     * A material as an operation of the core is given it: the shop's own row if there is one, else the key.
     *
     * @return array<string, mixed>|string
     */
    public static function forCore(string $key): array|string
    {
        return self::query()->where('key', $key)->first()->row ?? $key;
    }

    /**
     * One that the shop works with; null for a key that it does not know.
     *
     * @throws InvalidInput when a stored row is not readable
     */
    public static function of(string $key): ?Material
    {
        $own = self::query()->where('key', $key)->first();

        return $own === null ? MaterialTable::shipped()->all()[$key] ?? null : Material::fromFields(Fields::of($own->row));
    }

    /** As it stands in a list, by its key; one that is no longer there by its key alone. */
    public static function word(string $key, Sentences $says): string
    {
        $material = self::everything()[$key] ?? null;

        return $material === null ? $key : self::called($material, $says);
    }

    /** As it stands in a list to choose from: in English by the table's full name, else by its word in that language. */
    public static function called(Material $material, Sentences $says): string
    {
        return $says->language === Sentences::LANGUAGES[0] ? $material->name : Str::ucfirst($says->term($material->word()));
    }

    /**
     * All that the shop works with, its own rows in the place of the table's.
     *
     * @return array<string, Material> by key
     *
     * @throws InvalidInput when a stored row is not readable
     */
    public static function everything(): array
    {
        $own = self::query()
            ->orderBy('key')
            ->get()
            ->mapWithKeys(static fn (self $row): array => [$row->key => Material::fromFields(Fields::of($row->row))])
            ->all();

        return [...MaterialTable::shipped()->all(), ...$own];
    }
}
