// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/swatch_desk.hpp"

#include "recipes/kept_photos.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/swatches/card_json.hpp>

#include <QDateTime>
#include <QDir>
#include <QFileInfo>
#include <QLocale>
#include <QRandomGenerator>
#include <QUuid>
#include <algorithm>

namespace chalkline::app {
namespace {

WorkedCard worked_out(const swatches::Card& card, const machine::MachineProfile& machine,
                      const Surroundings& surroundings, const Watch& watch) {
    WorkedCard worked;
    const auto made = swatches::card_job(card, machine, {}, surroundings.of_nothing());
    if (!made) {
        worked.error = made.error();
        return worked;
    }
    worked.job = std::make_shared<const job::Job>(made->job);
    const auto plan = planning::plan(made->job, machine, {}, watch);
    if (!plan) {
        worked.error = plan.error();
        return worked;
    }
    worked.time = plan->total;
    for (const planning::StepReport& report : plan->steps) {
        const steps::StepSettings& settings = made->job.step(report.step)->settings;
        worked.joules += steps::dose(settings, machine.beam) * report.burn / 1000;
    }
    return worked;
}

}  // namespace

SwatchDesk::SwatchDesk(JobDocument& document, RecipeDesk& recipes, MachineLink& machine, BurnDesk& burns,
                       std::shared_ptr<const Surroundings> surroundings, QObject* parent)
    : QObject(parent),
      document_(document),
      recipes_(recipes),
      machine_(machine),
      surroundings_(std::move(surroundings)) {
    connect(&recipes_, &RecipeDesk::changed, this, &SwatchDesk::follow);
    connect(&machine_, &MachineLink::profile_changed, this, [this] {
        work_out();
        look_at_burn();  // its doses go by the beam
    });
    connect(&burns, &BurnDesk::began, this, [this] { burning_.start(); });
    connect(&burns, &BurnDesk::burned, this, &SwatchDesk::note_burned);
    connect(&reader_, &CardReader::read, this, &SwatchDesk::take);
    connect(&reader_, &CardReader::marks_wanted, this, &SwatchDesk::looked);
    connect(&reader_, &CardReader::failed, this, [this](const Error& error) {
        Q_EMIT message(wording::describe(error));
        Q_EMIT looked();
    });
}

// ---------------------------------------------------------------- the card

void SwatchDesk::choose(const std::string& code) {
    stop_reading();
    code_ = code;
    cell_.reset();
    burn_ = -1;
    follow();
}

void SwatchDesk::add(swatches::Card card, const QString& name) {
    do {
        card.code = swatches::code_of(QRandomGenerator::global()->generate());
    } while (recipes_.card(card.code));
    recipes_.keep_card(name, {card, {}});
    choose(card.code);
}

void SwatchDesk::change(const QString& name, const std::function<void(swatches::Card&)>& change) {
    if (!record()) return;
    swatches::CardRecord changed = *record();
    change(changed.card);
    recipes_.keep_card(name, changed);
}

void SwatchDesk::remove() {
    recipes_.remove_card(code_);
}

swatches::Ground SwatchDesk::ground() const {
    swatches::Ground ground{machine_.flat_profile(),
                            {},
                            Length::mm(3),
                            QDate::currentDate().toString(Qt::ISODate).toStdString(),
                            *recipes_.all()};
    if (const auto* shown = record()) {
        ground.material = shown->card.material;
        ground.thickness = shown->card.thickness;
    } else if (const auto& stock = document_.job().stock) {
        ground.material = stock->material;
        ground.thickness = stock->thickness;
    }
    return ground;
}

geometry::Point SwatchDesk::room(bool on_piece) const {
    const auto& stock = document_.job().stock;
    if (!on_piece || !stock) return {machine_.flat_profile().width, machine_.flat_profile().depth};
    return {stock->width - 2 * stock->margin.mm(), stock->height - 2 * stock->margin.mm()};
}

Result<job::Job> SwatchDesk::job(bool on_piece) const {
    swatches::Card card = record()->card;
    // A card says when it is burned, not when it was thought of.
    card.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
    const auto piece = on_piece ? document_.job().stock : std::nullopt;
    auto made = swatches::card_job(card, machine_.flat_profile(), piece, surroundings_->of_nothing());
    if (!made) return tl::unexpected(made.error());
    return std::move(made->job);
}

/// What stands in the store now is what is shown; worked out anew only where the card itself changed.
void SwatchDesk::follow() {
    const auto* now = record();
    if (!now) {
        if (shown_ != swatches::CardRecord{}) {
            shown_ = {};
            layout_ = {};
            worked_ = {};
            cell_.reset();
            burn_ = -1;
            look_at_burn();
        }
        return Q_EMIT changed();
    }
    const bool card_changed = now->card != shown_.card;
    shown_ = *now;
    const int burns = static_cast<int>(now->burns.size());
    if (burn_ < 0 || burn_ >= burns) burn_ = burns - 1;
    if (card_changed) {
        work_out();
        if (cell_ && !layout_.at(*cell_)) cell_.reset();
    }
    look_at_burn();
    Q_EMIT changed();
}

void SwatchDesk::work_out() {
    if (!record()) return;
    layout_ = swatches::layout_of(record()->card, machine_.flat_profile().beam);
    working_.start([card = record()->card, machine = machine_.flat_profile(), surroundings = surroundings_](
                       const Watch& watch) { return worked_out(card, machine, *surroundings, watch); },
                   [this](WorkedCard worked) {
                       worked_ = std::move(worked);
                       Q_EMIT changed();
                   });
}

// ---------------------------------------------------------------- what was burned

const swatches::CardBurn* SwatchDesk::burn() const {
    const auto* now = record();
    return now && burn_ >= 0 && burn_ < static_cast<int>(now->burns.size())
               ? &now->burns[static_cast<std::size_t>(burn_)]
               : nullptr;
}

QString SwatchDesk::when(const swatches::CardBurn& burn) {
    return QLocale().toString(QDateTime::fromString(QString::fromStdString(burn.at), Qt::ISODate), "d MMM hh:mm");
}

void SwatchDesk::choose_burn(int index) {
    stop_reading();
    burn_ = index;
    look_at_burn();
    Q_EMIT looked();
}

void SwatchDesk::look_at_burn() {
    points_ = burn() ? swatches::dose_points(layout_, *burn()) : std::vector<swatches::DosePoint>();
    curve_ = swatches::curve_of(points_);
    show_photo();
}

swatches::CardRecord SwatchDesk::with_burn(swatches::CardRecord record, double seconds) const {
    swatches::CardBurn burn;
    burn.at = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
    burn.seconds = seconds;
    record.burns.push_back(std::move(burn));
    return record;
}

void SwatchDesk::add_burn(double seconds) {
    if (!record()) return;
    const auto more = with_burn(*record(), seconds);
    burn_ = static_cast<int>(more.burns.size()) - 1;
    recipes_.keep_card(tr("Card burned"), more);
}

void SwatchDesk::remove_burn() {
    if (!burn()) return;
    swatches::CardRecord changed = *record();
    changed.burns.erase(changed.burns.begin() + burn_);
    burn_ = -1;
    recipes_.keep_card(tr("Remove burn of a card"), changed);
}

void SwatchDesk::change_burn(const QString& name, const std::function<void(swatches::CardBurn&)>& change) {
    if (!burn()) return;
    swatches::CardRecord changed = *record();
    change(changed.burns[static_cast<std::size_t>(burn_)]);
    recipes_.keep_card(name, changed);
}

void SwatchDesk::choose_cell(std::optional<swatches::CellPlace> place) {
    cell_ = place;
    Q_EMIT looked();
}

void SwatchDesk::judge(const QString& name, const std::function<void(swatches::CellResult&)>& change) {
    if (!cell_) return;
    if (!burn()) add_burn();
    change_burn(name, [&](swatches::CardBurn& burn) { change(burn.at_place_or_new(*cell_)); });
}

/// A job that burns a card has burned: whatever card it is, its burn is kept.
void SwatchDesk::note_burned() {
    const auto card = swatches::card_of(document_.job());
    if (!card || card->code.empty()) return;
    const auto* known = recipes_.card(card->code);
    const double seconds = burning_.isValid() ? static_cast<double>(burning_.elapsed()) / 1000 : 0;
    recipes_.keep_card(tr("Card burned"), with_burn(known ? *known : swatches::CardRecord{*card, {}}, seconds));
    code_ = card->code;
    burn_ = static_cast<int>(record()->burns.size()) - 1;
    follow();
}

// ---------------------------------------------------------------- reading

void SwatchDesk::read_photo(const QString& file) {
    if (!record()) return;
    if (!burn()) add_burn();
    reading_ = true;
    reader_.read_file(file, layout_);
    Q_EMIT looked();
}

/// What was read becomes part of the burn; the photograph is kept beside the recipes', so that it stays when the
/// original goes.
void SwatchDesk::take(const CardReader::Reading& reading) {
    straight_ = reading.straight;
    if (!std::exchange(reading_, false) || !burn()) return Q_EMIT looked();
    // A name of its own: Undo brings the photograph before back.
    const QString name = QString("card-%1-%2.jpg")
                             .arg(QString::fromStdString(code_), QUuid::createUuid().toString(QUuid::WithoutBraces));
    const QString path = photo_folder() + "/" + name;
    const std::string bytes(reading.kept.constData(), static_cast<std::size_t>(reading.kept.size()));
    if (!QDir().mkpath(photo_folder()) || !replace_file(path.toStdString(), bytes))
        Q_EMIT message({tr("The photograph cannot be kept"), path, tr("What was read of it is kept all the same.")});
    straight_of_ = name.toStdString();
    change_burn(tr("Read card from photograph"), [&](swatches::CardBurn& burn) {
        burn.photo = name.toStdString();
        burn.marks.clear();
        for (const geometry::Point mark : reading.marks)
            burn.marks.push_back(mark * reading.kept_scale);
        for (const auto& [place, seen] : reading.swatches)
            burn.at_place_or_new(place).measured = seen;
    });
    Q_EMIT looked();
}

/// What is still being read belongs to the burn that was looked at, and to no other.
void SwatchDesk::stop_reading() {
    if (std::exchange(reading_, false)) reader_.give_up();
}

/// Brings the photograph of the burn that is looked at.
void SwatchDesk::show_photo() {
    const auto* now = burn();
    const std::string wanted = now ? now->photo : std::string();
    if (wanted == straight_of_) return;
    straight_ = {};
    straight_of_ = wanted;
    reading_ = false;
    const QString path = photo_folder() + "/" + QFileInfo(QString::fromStdString(wanted)).fileName();
    if (!wanted.empty() && QFile::exists(path)) reader_.read_file(path, layout_, now->marks);
}

std::optional<recipes::Recipe> SwatchDesk::recipe() const {
    const swatches::Cell* cell = cell_ ? layout_.at(*cell_) : nullptr;
    if (!cell || !burn()) return {};
    recipes::Recipe recipe = swatches::recipe_of(record()->card, *cell, *burn(), recipes_.machine());
    if (recipe.settings.kind == steps::StepKind::picture)
        if (auto response = swatches::response_of(layout_, *burn()); !response.empty())
            recipe.settings.picture.response = std::move(response);
    return recipe;
}

}  // namespace chalkline::app
