<?php

declare(strict_types=1);

namespace App\Http;

use App\Language\Sentences;
use MillStep\Core\Learning\Check\Analysis\ItemVerdict;
use MillStep\Core\Learning\Check\Question\QuestionKinds;
use MillStep\Core\Measure\FitTable;
use MillStep\Core\Planning\Chart\ChartKind;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Layout\LayoutPlan;
use MillStep\Core\Planning\Step\Standing;
use MillStep\Core\Planning\Step\Steps;
use MillStep\Core\Reference\TapType;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** Lists of kinds that stand in one place of the core and reach the front end through the API's description: `enum: core.…`. */
final class CoreLists
{
    /** @return list<string> */
    public static function of(string $name): array
    {
        return match ($name) {
            'core.operations' => Steps::names(),
            'core.standing' => array_column(Standing::cases(), 'value'),
            'core.machines' => MachineSpec::KINDS,
            'core.speed_changes' => MachineSpec::SPEED_CHANGES,
            'core.holdings' => array_keys(Workholding::all()),
            'core.taps' => array_keys(TapType::all()),
            'core.materials' => Material::GROUPS,
            'core.chips' => Material::CHIPS,
            'core.charts' => array_column(ChartKind::cases(), 'value'),
            'core.purposes' => HoleRequest::PURPOSES,
            'core.patterns' => LayoutPlan::PATTERNS,
            'core.settings' => LayoutPlan::SETTINGS,
            'core.fits' => array_keys(FitTable::bands()),
            'core.supports' => array_column(LatheSupport::cases(), 'value'),
            'core.questions' => QuestionKinds::names(),
            'core.item_verdicts' => array_column(ItemVerdict::cases(), 'value'),
            'core.languages' => Sentences::LANGUAGES,
            default => throw new \LogicException("No list is called $name."),
        };
    }
}
