<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Operation;

/**
 * Goes over a described setup, rule by rule. What a rule needs to know and is not told becomes a finding of
 * its own: silence is never a pass.
 */
final readonly class SetupReview implements Operation
{
    /** The rules that speak on every machine, in the order of the trade. */
    private const EVERYWHERE = [
        [PersonRules::class, 'eyeProtection'], [PersonRules::class, 'looseItems'], [PersonRules::class, 'inService'],
        [PersonRules::class, 'permitted'],
        [PersonRules::class, 'guards'], [PersonRules::class, 'drift'],
        [PersonRules::class, 'chuckKey'], [PersonRules::class, 'chuckTight'], [PersonRules::class, 'rotation'],
        [HoldingRules::class, 'byHand'], [HoldingRules::class, 'turning'],
        [ToolRules::class, 'woodBit'], [ToolRules::class, 'sharpLips'], [ToolRules::class, 'pilotInGrabbing'],
        [ToolRules::class, 'dull'], [ToolRules::class, 'tooShort'], [ToolRules::class, 'tooSlender'],
        [ToolRules::class, 'noPilot'], [ToolRules::class, 'pilotSize'], [ToolRules::class, 'startMark'],
        [ToolRules::class, 'markSize'], [ToolRules::class, 'lubricant'],
        [SpeedRules::class, 'tooFast'], [SpeedRules::class, 'slowerTool'],
        [SpeedRules::class, 'overCap'], [SpeedRules::class, 'changedInState'],
        [ThreadRules::class, 'tapDrill'], [ThreadRules::class, 'threadLength'],
        [ThreadRules::class, 'tapKind'], [ThreadRules::class, 'powerTapReverses'], [ThreadRules::class, 'powerTapKind'],
        [ThreadRules::class, 'powerOnHandTool'],
        [ThreadRules::class, 'reamerAllowance'], [ThreadRules::class, 'reamerReversed'], [ThreadRules::class, 'breaksThrough'],
        [ThreadRules::class, 'floor'],
        [ToolRules::class, 'keepsPosition'], [ToolRules::class, 'keepsSize'],
        [PersonRules::class, 'chips'],
    ];

    private const AT_THE_DRILL_PRESS = [
        [HoldingRules::class, 'tableLocked'],
        [HoldingRules::class, 'lifting'], [HoldingRules::class, 'viceLoose'], [HoldingRules::class, 'openJaws'],
        [HoldingRules::class, 'tableInPath'], [HoldingRules::class, 'backing'], [ToolRules::class, 'thinSheet'],
    ];

    private const AT_THE_LATHE = [
        [LatheRules::class, 'jaws'], [LatheRules::class, 'overhang'], [LatheRules::class, 'tailstockClamped'],
        [LatheRules::class, 'tailstockSpindle'],
        [LatheRules::class, 'tailstockReach'], [LatheRules::class, 'partingDepth'], [LatheRules::class, 'partingSupported'],
        [LatheRules::class, 'boringBarFits'], [LatheRules::class, 'boringBarSprings'],
        [LatheRules::class, 'taper'], [LatheRules::class, 'centre'],
    ];

    public function __construct(public SetupFacts $setup)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $fields->choice('machine_kind', ['drill_press', 'lathe']);

        return new self(new SetupFacts($fields));
    }

    /** @throws InvalidInput when a fact is said in a way that cannot be understood */
    public function compute(): Review
    {
        $findings = [];
        foreach ([...self::EVERYWHERE, ...($this->setup->onLathe() ? self::AT_THE_LATHE : self::AT_THE_DRILL_PRESS)] as $rule) {
            try {
                $finding = $rule($this->setup);
            } catch (UnknownFact $unknown) {
                $finding = Finding::unknown($unknown->fact);
            }
            if ($finding !== null) {
                $findings[$finding->code] ??= $finding;
            }
        }
        $rank = [Severity::Stop->value => 0, Severity::Fix->value => 1, Severity::Note->value => 2];
        usort($findings, static fn (Finding $a, Finding $b): int => $rank[$a->severity->value] <=> $rank[$b->severity->value]);

        return new Review($findings);
    }
}
