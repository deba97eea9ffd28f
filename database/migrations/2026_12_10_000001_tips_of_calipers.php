<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshop_gauges', static function (Blueprint $table): void {
            $table->decimal('tip_mm', 5, 3)->nullable()->comment('flat of the inside jaws; null where nobody has measured it');
        });
    }

    public function down(): void
    {
        Schema::table('workshop_gauges', static fn (Blueprint $table) => $table->dropColumn('tip_mm'));
    }
};
