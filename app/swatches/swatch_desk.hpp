// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "recipes/recipe_desk.hpp"
#include "session/burn_desk.hpp"
#include "session/machine_link.hpp"
#include "swatches/card_reader.hpp"

#include <chalkline/surroundings/surroundings.hpp>
#include <chalkline/swatches/advice.hpp>
#include <chalkline/swatches/card_job.hpp>
#include <chalkline/swatches/ready_cards.hpp>

#include <QElapsedTimer>
#include <functional>

namespace chalkline::app {

/// What a card comes to on this machine.
struct WorkedCard {
    std::shared_ptr<const job::Job> job;  ///< on a piece of its own; null with an error
    std::optional<Error> error;
    Duration time;
    double joules = 0;
};

/// The swatch card looked at, what it comes to, and what was read of it; every change goes through here into the
/// recipes' store and its history. All parts of the Swatches view ask here.
class SwatchDesk : public QObject {
    Q_OBJECT
 public:
    SwatchDesk(JobDocument& document, RecipeDesk& recipes, MachineLink& machine, BurnDesk& burns,
               std::shared_ptr<const Surroundings> surroundings, QObject* parent = nullptr);

    // ---- the card
    const std::vector<swatches::CardRecord>& all() const { return recipes_.cards(); }
    /// Nothing while none is chosen.
    const swatches::CardRecord* record() const { return recipes_.card(code_); }
    void choose(const std::string& code);
    /// Keeps a new card under a code of its own and looks at it.
    void add(swatches::Card card, const QString& name);
    void change(const QString& name, const std::function<void(swatches::Card&)>& change);
    void remove();
    const swatches::Layout& layout() const { return layout_; }
    const WorkedCard& worked() const { return worked_; }
    bool stale() const { return working_.running(); }
    /// What proposals stand on: the machine, the recipes, and the job's piece unless a card is looked at.
    swatches::Ground ground() const;
    const machine::MachineProfile& machine() const { return machine_.flat_profile(); }
    /// The room a card has: the job's piece inside its margins where `on_piece`, else the bed.
    geometry::Point room(bool on_piece) const;
    /// The job to be burned, on the job's piece or on one of its own.
    Result<job::Job> job(bool on_piece) const;

    // ---- what was burned
    /// The newest first chosen; nothing while the card was never burned.
    const swatches::CardBurn* burn() const;
    int burn_index() const { return burn_; }
    /// What was measured of it, and the curve through that.
    const std::vector<swatches::DosePoint>& points() const { return points_; }
    const std::optional<swatches::DoseCurve>& curve() const { return curve_; }
    /// "23 Nov 13:40"
    static QString when(const swatches::CardBurn& burn);
    void choose_burn(int index);
    /// Notes that the card was burned, somewhere else or by hand.
    void add_burn(double seconds = 0);
    void remove_burn();
    void change_burn(const QString& name, const std::function<void(swatches::CardBurn&)>& change);
    std::optional<swatches::CellPlace> cell() const { return cell_; }
    void choose_cell(std::optional<swatches::CellPlace> place);
    void judge(const QString& name, const std::function<void(swatches::CellResult&)>& change);

    // ---- reading
    CardReader& reader() { return reader_; }
    /// Reads the burn from a picture file; a burn is noted when there is none.
    void read_photo(const QString& file);
    /// The card from above, as photographed; null without a photograph.
    const QImage& straight() const { return straight_; }
    /// A recipe of the chosen swatch.
    std::optional<recipes::Recipe> recipe() const;

 Q_SIGNALS:
    /// The card, its burns or what it comes to.
    void changed();
    /// Another burn or swatch is looked at, or it looks different.
    void looked();
    void message(const chalkline::wording::Message& message);

 private:
    void follow();
    void work_out();
    void look_at_burn();
    void stop_reading();
    void show_photo();
    void take(const CardReader::Reading& reading);
    void note_burned();
    swatches::CardRecord with_burn(swatches::CardRecord record, double seconds) const;

    JobDocument& document_;
    RecipeDesk& recipes_;
    MachineLink& machine_;
    std::shared_ptr<const Surroundings> surroundings_;  ///< shared with work that outlives the window
    CardReader reader_;
    TaskRunner working_;
    std::string code_;
    swatches::CardRecord shown_;  ///< what was worked out last
    swatches::Layout layout_;
    WorkedCard worked_;
    int burn_ = -1;
    std::vector<swatches::DosePoint> points_;
    std::optional<swatches::DoseCurve> curve_;
    std::optional<swatches::CellPlace> cell_;
    QImage straight_;
    std::string straight_of_;  ///< file of the photograph
    bool reading_ = false;     ///< a photograph is read for the first time, not only shown again
    QElapsedTimer burning_;
};

}  // namespace chalkline::app
