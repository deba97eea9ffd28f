<?php

declare(strict_types=1);

namespace App\Planning\Wall;

use App\Planning\Requests\AtMachine;
use App\Policy\Policy;
use App\Policy\Shop;
use App\Workshop\MaterialRow;
use App\Workshop\ShopAtHand;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Planning\Chart\Chart;
use MillStep\Core\Planning\Chart\ChartKind;
use MillStep\Core\Workshop\Material;

/** A wall chart for a machine of this shop with the cribs beside it, made of what they are at this moment. */
final readonly class WallChart
{
    private const USUAL_MATERIAL = 'mild_steel';

    /** @param  array<string, mixed>  $asked  after the rules */
    private function __construct(public Chart $chart, private ChartKind $kind, private array $asked)
    {
    }

    /** @return array<string, list<mixed>> */
    public static function rules(): array
    {
        return [
            'machine' => ['required', 'string', 'exists:workshop_machines,slug'],
            'material' => ['nullable', 'string', 'max:60'],
        ];
    }

    /**
     * @param  array<string, mixed>  $asked  after the rules
     *
     * @throws ValidationException when nothing can be planned there
     */
    public static function of(ChartKind $kind, array $asked): self
    {
        $asked['material'] ??= self::USUAL_MATERIAL;
        $materials = array_values(array_filter(
            MaterialRow::everything(),
            static fn (Material $material): bool => $material->group !== 'wood',
        ));
        $bench = AtMachine::of($asked, new ShopAtHand)->bench(null);

        return new self($kind->of($bench, $materials === [] ? [$bench->material] : $materials), $kind, $asked);
    }

    public function imprint(): Imprint
    {
        $query = http_build_query($this->asked);

        return new Imprint(
            Shop::here()['name'],
            Policy::inForce()->hours->dateAt(CarbonImmutable::now()),
            rtrim(Config::string('app.url'), '/')."/planner/wall/{$this->kind->value}?$query",
        );
    }
}
