<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Boots a model's traits by their conventional names alone. The framework also looks through every method of the
 * model for attributes that could say the same; none here does, and at a gate that look took longer than the queries.
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            $boot = [static::class, 'boot'.$name];
            if (method_exists(...$boot) && is_callable($boot)) {
                forward_static_call($boot);
            }
            if (method_exists(static::class, 'initialize'.$name)) {
                static::$traitInitializers[static::class][] = 'initialize'.$name;
            }
        }
        static::$traitInitializers[static::class] = array_unique(static::$traitInitializers[static::class]);
    }
}
