<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshop_machines', function (Blueprint $table): void {
            $table->string('fastest_belt', 6)->nullable()->comment('top or bottom: where on its cone pulleys the belt turns it fastest');
        });
    }

    public function down(): void
    {
        Schema::table('workshop_machines', function (Blueprint $table): void {
            $table->dropColumn('fastest_belt');
        });
    }
};
