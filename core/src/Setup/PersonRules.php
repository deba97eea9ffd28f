<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

/** The person and the spindle: what has to be right before anything turns. Each method is one rule. */
final class PersonRules
{
    public static function eyeProtection(SetupFacts $setup): ?Finding
    {
        return $setup->flag('eye_protection') ? null
            : Finding::stop('eye_protection_missing');
    }

    public static function looseItems(SetupFacts $setup): ?Finding
    {
        return $setup->flag('loose_items')
            ? Finding::stop('loose_items') : null;
    }

    public static function chuckKey(SetupFacts $setup): ?Finding
    {
        return $setup->flag('chuck_key_in_chuck')
            ? Finding::stop('chuck_key_left') : null;
    }

    /** A drift in the spindle flies like a key in the chuck. */
    public static function drift(SetupFacts $setup): ?Finding
    {
        return $setup->flag('drift_in_spindle') ? Finding::stop('drift_left') : null;
    }

    public static function guards(SetupFacts $setup): ?Finding
    {
        return $setup->flag('guards_closed') ? null : Finding::stop('guard_open');
    }

    public static function chuckTight(SetupFacts $setup): ?Finding
    {
        return $setup->flag('chuck_tight')
            ? null
            : Finding::stop('chuck_not_tight');
    }

    public static function chips(SetupFacts $setup): ?Finding
    {
        return $setup->flag('chips_by_hand')
            ? Finding::stop('chips_by_hand')
            : null;
    }

    public static function inService(SetupFacts $setup): ?Finding
    {
        return $setup->flag('machine_in_service') ? null : Finding::stop('machine_out_of_service');
    }

    public static function permitted(SetupFacts $setup): ?Finding
    {
        return $setup->text('access') === 'no'
            ? Finding::stop('not_permitted')
            : null;
    }

    public static function rotation(SetupFacts $setup): ?Finding
    {
        return $setup->text('rotation') === 'forward' ? null
            : Finding::stop('rotation_wrong', reason: $setup->onLathe() ? null : 'rotation_wrong_press');
    }
}
