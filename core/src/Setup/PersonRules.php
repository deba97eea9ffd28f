<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

/** The person and the spindle: what has to be right before anything turns. Each method is one rule. */
final class PersonRules
{
    public static function eyeProtection(SetupFacts $setup): ?Finding
    {
        return $setup->flag('eye_protection') ? null
            : Finding::stop('eye_protection_missing', 'No eye protection. It comes first, before the machine is touched.', 'A1');
    }

    public static function looseItems(SetupFacts $setup): ?Finding
    {
        return $setup->flag('loose_items')
            ? Finding::stop(
                'loose_items',
                'Gloves, a loose sleeve, hair or jewellery near a turning spindle is wound up, and you with it.',
                'A1',
            ) : null;
    }

    public static function chuckKey(SetupFacts $setup): ?Finding
    {
        return $setup->flag('chuck_key_in_chuck')
            ? Finding::stop('chuck_key_left', 'The key is in the chuck. It flies when the spindle starts.', 'C4') : null;
    }

    public static function chuckTight(SetupFacts $setup): ?Finding
    {
        return $setup->flag('chuck_tight')
            ? null
            : Finding::stop('chuck_not_tight', 'The chuck is not tight on the tool or the work.', 'C4');
    }

    public static function chips(SetupFacts $setup): ?Finding
    {
        return $setup->flag('chips_by_hand')
            ? Finding::stop('chips_by_hand', 'Chips are hot and sharp: brush, never fingers, never while turning.', 'C7')
            : null;
    }

    public static function inService(SetupFacts $setup): ?Finding
    {
        return $setup->flag('machine_in_service') ? null : Finding::stop('machine_out_of_service', 'The machine is out of service.', 'A2');
    }

    public static function permitted(SetupFacts $setup): ?Finding
    {
        return $setup->text('access') === 'no'
            ? Finding::stop('not_permitted', 'The gate says no for this person at this machine.', 'A2')
            : null;
    }

    public static function rotation(SetupFacts $setup): ?Finding
    {
        return $setup->text('rotation') === 'forward' ? null
            : Finding::stop('rotation_wrong', 'The spindle turns the wrong way: the top of the work comes towards the operator.', 'D1');
    }
}
